<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Refused;
use App\Http\Requests\ChangeRequest;
use App\Models\Job;
use App\Workshop\BenchStanding;
use App\Workshop\JobLog;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Layout\ByHand;
use UpsweptBead\Core\Stage\Layout\RouteMoves;
use UpsweptBead\Core\Stage\Made\HeldByWork;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Plan\Aiming;
use UpsweptBead\Core\Stage\Plan\FromBlocks;
use UpsweptBead\Core\Stage\Plan\Growing;
use UpsweptBead\Core\Stage\Plan\GrowthReader;

/**
 * A run changed by hand: what is done to it goes in, the route it leads to comes out, drawn and measured. Nothing is
 * saved.
 */
final readonly class HandController
{
    public function __construct(private Workshop $workshop, private BenchStanding $standing, private JobLog $log) {}

    public function __invoke(ChangeRequest $request, Job $job): JsonResponse
    {
        $document = $request->document();
        $letter = $request->written('letter');
        $before = $document->run($letter)?->route;
        $faults = new Faults();
        $wish = Node::wrap(
            ['format' => 'hand', ...$request->only([
                'do', 'index', 'to', 'length', 'clr', 'angle', 'angleBy', 'turn', 'turnBy', 'isLeft', 'before', 'after',
                'blocks', 'toward', 'falls', 'clear', 'wedges', 'second', 'apart',
            ])],
            'hand',
            null,
            $faults,
        );
        try {
            $route = $this->route($job, $document, $letter, $wish, $faults);
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['hand' => $error->getMessage()]);
        }
        Refused::ifAny($faults);

        return new JsonResponse([
            'route' => $route === null ? null : JobWriter::route($route),
            'moved' => $before === null || $route === null
                ? []
                : RouteMoves::between($before, $route, $document->units),
            'plan' => PlanWriter::sketch($this->workshop->sketch($document->routed($letter, $route))),
        ]);
    }

    /**
     * @return RouteChoice|null null where nothing is left of it
     *
     * @throws \DomainException if it cannot be done
     */
    private function route(Job $job, CoreJob $document, string $letter, Node $wish, Faults $faults): ?RouteChoice
    {
        $shop = $this->workshop->shopFor($document);
        if (! in_array($wish->at('do')->asWritten(), ['bend', 'leg', 'shorter', 'blocks', 'aim'], true)) {
            $hand = ByHand::of($document, $shop, $letter);

            return $this->changed($hand, $wish, fn (): array => $this->held($job, $document, $letter));
        }
        if ($wish->at('do')->asWritten() === 'blocks') {
            return FromBlocks::route($document, $shop, $letter, $wish->at('blocks')->text('', 2000));
        }
        $growing = Growing::of($document, $shop, $letter);
        $reader = new GrowthReader($document->units, $growing->odMm);
        $read = match ($wish->at('do')->asWritten()) {
            'bend' => $reader->bend($wish),
            'leg' => $wish->at('length')->length($document->units)->mm,
            default => null,
        };
        $aim = $wish->at('do')->asWritten() === 'aim' ? $reader->aim($wish) : null;
        // What cannot be read is said before what cannot be made.
        Refused::ifAny($faults);

        return match (true) {
            $aim !== null => Aiming::of($document, $shop, $letter)->route(...$aim),
            is_array($read) => $growing->bend(...$read),
            $read === null => $growing->shorter(),
            default => $growing->leg($read),
        };
    }

    /** @return list<int> values of the run's route that work already done holds */
    private function held(Job $job, CoreJob $document, string $letter): array
    {
        $job->load('revisions');
        if ($job->released() === null) {
            return [];
        }
        $sketch = $this->workshop->sketch($document);
        $outline = fn (): Outline => $this->workshop->outline($sketch);
        $log = $this->log->now($job);
        $made = $this->standing->heldAgainst($job, $job->current()->number, $outline, $log);
        $run = $sketch->layout->run($letter);

        return $run === null ? [] : HeldByWork::values(
            $run,
            $sketch->cut->piecesOf($letter),
            $sketch->joints->ofRun($letter),
            Progress::of([], $made->counting($log->entries())),
        );
    }

    /** @param  callable(): list<int>  $held */
    private function changed(ByHand $hand, Node $wish, callable $held): RouteChoice
    {
        $index = static fn (): int => (int) $wish->at('index')->number(20);

        return match ($wish->at('do')->required(20)) {
            'vertex' => $hand->moveVertex($index(), $wish->at('to')->point()),
            'length' => $hand->bringToLength($wish->at('length')->number(1e5)),
            'close' => $hand->close($held()),
            'insert' => $hand->insertBend($index()),
            'remove' => $hand->removeBend($index()),
            'merge' => $hand->mergeBend($index()),
            default => throw new \DomainException(
                'What is to be done must be one of vertex, length, close, insert, remove, merge, bend, leg, shorter, blocks, aim.',
            ),
        };
    }
}
