<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

use UpsweptBead\Core\Base\Reason\Source;

/** The wire by which two base metals are joined, as a classification such as ER308L. */
final readonly class FillerRow
{
    public function __construct(
        public string $metalA,
        public string $metalB,
        public string $alloy,
        public string $note,
        public Source $source,
    ) {}
}
