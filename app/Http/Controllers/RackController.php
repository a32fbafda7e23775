<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RackRequest;
use App\Models\Job;
use App\Workshop\Bottles;
use App\Workshop\Rack;
use App\Workshop\Workshop;
use Inertia\Inertia;
use Inertia\Response;

/** Every job by what blocks it next, and what is left in the bottles. */
final readonly class RackController
{
    /** Of so many jobs, the newest, the number of the next one is guessed. */
    private const NUMBERS = 20;

    public function __construct(private Workshop $workshop, private Rack $rack, private Bottles $bottles) {}

    public function __invoke(RackRequest $request): Response
    {
        return Inertia::render('rack/rack', [
            'shop' => fn (): string => $this->workshop->shop()->name,
            'find' => $request->find(),
            'rack' => fn (): array => $this->rack->page($request->find(), $request->page()),
            'atBench' => fn (): ?array => $this->rack->atBench(),
            'numbers' => fn (): array => Job::query()->orderByDesc('id')->limit(self::NUMBERS)->pluck('number')->all(),
            'bottles' => fn (): array => $this->bottles->shown(),
        ]);
    }
}
