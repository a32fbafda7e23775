<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Refused;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobReader;

/** A whole job document sent by a screen. Problems come back under the path of their place in it. */
class ChangeRequest extends WrittenRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['document' => ['required', 'array']];
    }

    /** @throws ValidationException if the document has faults; nothing is stored then */
    public function document(): CoreJob
    {
        try {
            $reading = JobReader::fromDecoded($this->input('document'));
        } catch (UnusableDocument $error) {
            throw ValidationException::withMessages(['document' => $error->getMessage()]);
        }

        return $reading->job ?? throw Refused::for($reading->faults);
    }
}
