<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

/** What is wrong with a survey file, each place once. */
final class SurveyRefusals
{
    /** @var array<string, array{what: string, field: string, by: list<array<string, string>>}> */
    private array $all = [];

    /** @param  list<array<string, string>>  $by  readings that would mend it */
    public function add(string $what, string $field, array $by = []): void
    {
        $this->all[$field] ??= ['what' => $what, 'field' => $field, 'by' => $by];
    }

    /** @return list<array{what: string, field: string, by: list<array<string, string>>}> */
    public function all(): array
    {
        return array_values($this->all);
    }
}
