<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

enum CorrectionKind: string
{
    case Turn = 'turn';
    case Trim = 'trim';
}
