<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\ErrorHandler\Error\FatalError;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** One request has used up the time that it may have. Nothing was changed. */
final class TookTooLong extends ServiceUnavailableHttpException
{
    public function __construct(FatalError $error)
    {
        parent::__construct(null, 'This takes longer than one request may. Try it with fewer runs or keep-outs.', $error);
    }

    public static function is(FatalError $error): bool
    {
        return str_starts_with($error->getMessage(), 'Maximum execution time');
    }
}
