<?php

declare(strict_types=1);

namespace UpsweptBead\Core;

/** Marks every error the core throws on purpose, so that a caller can catch them all in one place. */
interface CoreError extends \Throwable {}
