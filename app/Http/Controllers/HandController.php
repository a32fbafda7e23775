<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Refused;
use App\Http\Requests\ChangeRequest;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Stage\Layout\ByHand;

/**
 * A run changed by hand: what is done to it goes in, the route it leads to comes out, drawn and measured. Nothing is
 * saved.
 */
final readonly class HandController
{
    public function __construct(private Workshop $workshop) {}

    public function __invoke(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $letter = $request->written('letter');
        $faults = new Faults();
        $wish = Node::wrap(
            ['format' => 'hand', ...$request->only(['do', 'index', 'to', 'length'])],
            'hand',
            null,
            $faults,
        );
        try {
            $hand = ByHand::of($job, $this->workshop->shop(), $letter);
            $route = $this->changed($hand, $wish);
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['hand' => $error->getMessage()]);
        }
        Refused::ifAny($faults);

        return new JsonResponse([
            'route' => JobWriter::route($route),
            'plan' => PlanWriter::sketch($this->workshop->sketch($hand->with($letter, $route))),
        ]);
    }

    private function changed(ByHand $hand, Node $wish): RouteChoice
    {
        $index = static fn (): int => (int) $wish->at('index')->number(20);

        return match ($wish->at('do')->required(20)) {
            'vertex' => $hand->moveVertex($index(), $wish->at('to')->point()),
            'length' => $hand->bringToLength($wish->at('length')->number(1e5)),
            'close' => $hand->close(),
            'insert' => $hand->insertBend($index()),
            'remove' => $hand->removeBend($index()),
            'merge' => $hand->mergeBend($index()),
            default => throw new \DomainException(
                'What is to be done must be one of vertex, length, close, insert, remove, merge.',
            ),
        };
    }
}
