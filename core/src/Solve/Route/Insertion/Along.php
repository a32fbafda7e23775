<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

/** How a person would describe the direction that a tube comes in along. */
enum Along: string
{
    case Port = 'onto its port';
    case Inlet = 'into its inlet';
    case Between = 'between port and inlet';
    case Side = 'from the side';
}
