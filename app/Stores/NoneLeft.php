<?php

declare(strict_types=1);

namespace App\Stores;

use RuntimeException;

/** There is none of what was asked for, or somebody else has it; its message says who. */
final class NoneLeft extends RuntimeException {}
