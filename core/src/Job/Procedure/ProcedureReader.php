<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Procedure;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\SeamKind;

/** Reads customers' written procedures; a setting that cannot be read as what it is for is a fault. */
final readonly class ProcedureReader
{
    private const MOST_PROCEDURES = 12;

    private const MOST_TEXT = 60;

    public function __construct(private UnitSystem $units) {}

    /** @return list<WeldProcedure> */
    public function read(Node $node): array
    {
        return $node->isMissing() ? [] : array_map($this->one(...), $node->items(self::MOST_PROCEDURES));
    }

    private function one(Node $node): WeldProcedure
    {
        $node->only(['name', 'seams', 'settings']);
        $settings = [];
        $asked = $node->at('settings');
        $asked->only(array_keys(WeldProcedure::SETTINGS));
        foreach (WeldProcedure::SETTINGS as $name => [, $quantity]) {
            if ($asked->at($name)->isMissing()) {
                continue;
            }
            $settings[$name] = $asked->at($name)->required(self::MOST_TEXT);
            if ($quantity !== null && $settings[$name] !== '') {
                $asked->at($name)->quantity($quantity, $this->units);
            }
        }
        if ($settings === []) {
            $asked->complain('nothing', 'must ask for at least one setting');
        }

        return new WeldProcedure(
            $node->at('name')->required(self::MOST_TEXT),
            $node->at('seams')->choice(SeamKind::class, SeamKind::All),
            $settings,
        );
    }
}
