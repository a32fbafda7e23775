<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Workshop\JobView;
use App\Workshop\Workshop;
use Inertia\Inertia;
use Inertia\Response;
use UpsweptBead\Core\Shop\Bottle;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;

/** Every job by what blocks it next, and what is left in the bottles. */
final readonly class RackController
{
    public function __construct(private Workshop $workshop) {}

    public function __invoke(): Response
    {
        $jobs = Job::query()->with(['revisions', 'log.user'])->orderBy('number')->get();

        return Inertia::render('rack/rack', [
            'shop' => $this->workshop->shop()->name,
            'jobs' => $jobs->map($this->row(...))->sortBy('place')->values()->all(),
            'bottles' => array_map(static fn (Bottle $bottle): array => [
                'name' => $bottle->name,
                'use' => $bottle->use->value,
                'share' => $bottle->isFilledTo(),
                'gauge' => Quantity::Pressure->show($bottle->gaugeKpa, UnitSystem::Inch),
                'usable' => Quantity::Volume->show($bottle->usableL(), UnitSystem::Inch),
            ], $this->workshop->shop()->bottles),
        ]);
    }

    /** @return array<string, mixed> */
    private function row(Job $job): array
    {
        $revision = $job->current();
        $document = $this->workshop->read($revision);
        $plan = $this->workshop->plan($document);
        $next = $this->workshop->next($plan, $job);
        $progress = $this->workshop->progress($plan, $job);

        return [
            'id' => $job->id,
            'number' => $document->number,
            'title' => $document->title,
            'vehicle' => $document->vehicle,
            'customer' => $document->customer,
            'metal' => $document->metal,
            'purpose' => $document->purpose->label(),
            'revision' => $revision->number,
            'status' => $revision->status->value,
            'joints' => count($plan->joints->joints),
            'jointsDone' => $progress->jointsDone(),
            'stepsDone' => $progress->stepsDone(),
            'steps' => count($plan->steps),
            'next' => JobView::next($next),
            'place' => $next->place(),
        ];
    }
}
