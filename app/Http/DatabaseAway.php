<?php

declare(strict_types=1);

namespace App\Http;

use PDOException;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/**
 * The database cannot be reached just now, or cannot write. Nothing was changed; whoever asked may ask again in a
 * moment.
 */
final class DatabaseAway extends ServiceUnavailableHttpException
{
    private const TRY_AGAIN_S = 2;

    public function __construct(PDOException $error)
    {
        parent::__construct(self::TRY_AGAIN_S, self::isFull($error)
            ? 'The server has no room left on its disk, so nothing can be saved just now. Your work is kept; say so to whoever looks after the server.'
            : 'The server cannot reach its database just now. Your work is kept and goes on by itself.', $error);
    }

    /**
     * Connection lost or refused, shutting down or starting up: classes 08 and 57P of the SQL standard and PostgreSQL.
     */
    public static function is(PDOException $error): bool
    {
        return self::isFull($error)
            || preg_match('/SQLSTATE\[(08\d{3}|57P0\d)\]/', $error->getMessage()) === 1
            || str_contains($error->getMessage(), 'server closed the connection unexpectedly')
            || str_contains($error->getMessage(), 'no connection to the server');
    }

    /** Class 53100: nothing more can be written. */
    private static function isFull(PDOException $error): bool
    {
        return str_contains($error->getMessage(), 'SQLSTATE[53100]');
    }
}
