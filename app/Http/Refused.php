<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Document\Problem;
use UpsweptBead\Core\Document\Problems;

/** Turns what is wrong with a document into the one refusal that the screens know: messages by field. */
final readonly class Refused
{
    /** @param  list<Problem>  $problems */
    public static function for(array $problems): ValidationException
    {
        $messages = [];
        foreach ($problems as $problem) {
            $messages[$problem->path][] = $problem->message;
        }

        return ValidationException::withMessages($messages);
    }

    /** @throws ValidationException with everything that is wrong, under its field; nothing if nothing is */
    public static function ifAny(Problems $problems): void
    {
        if ($problems->all() !== []) {
            throw self::for($problems->all());
        }
    }
}
