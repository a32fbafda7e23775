<?php

declare(strict_types=1);

namespace App\Stores;

use RuntimeException;

/** Somebody else has what was asked for: which item, how much was wanted and how much there is for it. */
final class NoneLeft extends RuntimeException {}
