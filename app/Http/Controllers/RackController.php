<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RackRequest;
use App\Models\Job;
use App\Workshop\Rack;
use App\Workshop\Workshop;
use Inertia\Inertia;
use Inertia\Response;
use UpsweptBead\Core\Shop\Bottle;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;

/** Every job by what blocks it next, and what is left in the bottles. */
final readonly class RackController
{
    /** Of so many jobs, the newest, the number of the next one is guessed. */
    private const NUMBERS = 20;

    public function __construct(private Workshop $workshop, private Rack $rack) {}

    public function __invoke(RackRequest $request): Response
    {
        return Inertia::render('rack/rack', [
            'shop' => fn (): string => $this->workshop->shop()->name,
            'find' => $request->find(),
            'rack' => fn (): array => $this->rack->page($request->find(), $request->page()),
            'atBench' => fn (): ?array => $this->rack->atBench(),
            'numbers' => fn (): array => Job::query()->orderByDesc('id')->limit(self::NUMBERS)->pluck('number')->all(),
            'bottles' => fn (): array => array_map(static fn (Bottle $bottle): array => [
                'name' => $bottle->name,
                'use' => $bottle->use->value,
                'share' => $bottle->isFilledTo(),
                'gauge' => Quantity::Pressure->show($bottle->gaugeKpa, UnitSystem::Inch),
                'usable' => Quantity::Volume->show($bottle->usableL(), UnitSystem::Inch),
            ], $this->workshop->shop()->bottles),
        ]);
    }
}
