<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Base\Reason\Notice;

/** A draft whose plan has problems. */
final class NotReleasable extends \RuntimeException
{
    /** @param  list<Notice>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct('This draft has problems and cannot be released.');
    }

    /** @return array<string, list<string>> by place in the document */
    public function messages(): array
    {
        $messages = [];
        foreach ($this->problems as $notice) {
            $messages[$notice->path][] = $notice->message;
        }

        return $messages;
    }
}
