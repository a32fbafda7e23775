<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;

/** Turns what is wrong with a document into the one refusal that the screens know: messages by field. */
final readonly class Refused
{
    /** @param  list<Fault>  $faults */
    public static function for(array $faults): ValidationException
    {
        $messages = [];
        foreach ($faults as $fault) {
            $messages[$fault->path][] = $fault->message;
        }

        return ValidationException::withMessages($messages);
    }

    /** @throws ValidationException with everything that is wrong, under its field; nothing if nothing is */
    public static function ifAny(Faults $faults): void
    {
        if ($faults->all() !== []) {
            throw self::for($faults->all());
        }
    }
}
