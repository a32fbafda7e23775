<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\DatabaseSessionHandler;

/** Sessions in the database, written only when they changed, or every few minutes to say that they are still in use. */
final class SparingSessions extends DatabaseSessionHandler
{
    /** Far less than a session lasts. */
    private const TOUCH_SECONDS = 300;

    private ?string $readPayload = null;

    private int $readActivity = 0;

    /** @param  \stdClass  $session  as it is stored; empty if it is not */
    protected function expired($session): bool
    {
        $this->readPayload = is_string($session->payload ?? null) ? $session->payload : null;
        $this->readActivity = is_int($session->last_activity ?? null) ? $session->last_activity : 0;

        return parent::expired($session);
    }

    /**
     * @param  string  $sessionId
     * @param  array<string, mixed>  $payload
     */
    protected function performUpdate($sessionId, $payload): int
    {
        $isKept = $payload['payload'] === $this->readPayload
            && $this->currentTime() - $this->readActivity < self::TOUCH_SECONDS;

        return $isKept ? 0 : parent::performUpdate($sessionId, $payload);
    }
}
