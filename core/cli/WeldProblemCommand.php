<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Symfony\Component\Console\Input\InputInterface;
use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\ProblemName;
use UpsweptBead\Core\Exchange\Files\WeldRefusal;

/** Answers a file of one of the open weld formats. */
abstract class WeldProblemCommand extends ProblemCommand
{
    /**
     * @param  list<WeldRefusal>  $reasons
     * @return array<string, mixed>
     */
    abstract protected function refused(string $case, array $reasons): array;

    /**
     * @return array<string, mixed>|list<Fault> the answer, or what is wrong with the file
     *
     * @throws UnusableDocument
     */
    abstract protected function answered(string $json, InputInterface $input): array;

    protected function answer(string $file, InputInterface $input): array
    {
        $name = '';
        try {
            $json = Files::text($file);
            $name = ProblemName::in($json);
            $answer = $this->answered($json, $input);
        } catch (UnusableDocument $error) {
            return $this->refused($name, [new WeldRefusal($error->getMessage(), '')]);
        }
        $reasons = [];
        foreach ($answer as $one) {
            if ($one instanceof Fault) {
                $reasons[] = WeldRefusal::ofFault($one);
            }
        }

        return $reasons === [] ? array_combine(array_map(strval(...), array_keys($answer)), $answer) : $this->refused($name, $reasons);
    }
}
