<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\MergeProblem;
use UpsweptBead\Core\Exchange\Files\MergeProblemReader;
use UpsweptBead\Core\Exchange\Files\ProblemName;

/** A file with a merge problem: worked out, or why not. */
final readonly class MergeFile
{
    /**
     * @param  list<Refusal>  $reasons  none where there is a problem worked out
     * @param  list<string>  $said  the same for people
     */
    private function __construct(
        public string $case,
        public ?MergeProblem $problem,
        public array $reasons = [],
        public array $said = [],
    ) {}

    public static function read(string $file): self
    {
        try {
            $json = Files::text($file);
            $read = MergeProblemReader::read($json);
        } catch (UnusableDocument $error) {
            return new self('', null, [new Refusal('invalid', '')], [$error->getMessage()]);
        }
        if ($read instanceof MergeProblem) {
            return new self($read->name, $read);
        }
        $reasons = $said = [];
        foreach ($read as $one) {
            $reasons[] = $one instanceof Fault ? new Refusal('invalid', $one->path) : $one;
            $said[] = $one instanceof Fault
                ? "$one->path $one->message"
                : "$one->field: $one->what".($one->by === null ? '' : sprintf(' by %.3f', $one->by));
        }

        return new self(ProblemName::in($json, 'case'), null, $reasons, $said);
    }
}
