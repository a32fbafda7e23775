<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Exception;

use UpsweptBead\Core\CoreError;

/** A file that is no STL file, is damaged, or is too much of one; the message says which. */
final class UnusableStl extends \RuntimeException implements CoreError {}
