<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Fit\FitUp;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Plan\Sketch;
use UpsweptBead\Core\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Units\Quantity;

/** What to do about a joint as it was measured. */
final readonly class FitController
{
    public function __construct(private Workshop $workshop) {}

    public function measured(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        $sketch = $this->workshop->sketch($document);
        $joint = $sketch->joints->find($request->written('joint'))
            ?? throw ValidationException::withMessages(['joint' => 'The job has no such joint.']);
        $read = static function (string $key, Quantity $quantity) use ($request, $document): float {
            $text = trim($request->written($key));
            try {
                $value = $text === '' ? 0.0 : $quantity->parse($text, $document->units);
            } catch (UnreadableQuantity $error) {
                throw ValidationException::withMessages([$key => $error->getMessage()]);
            }

            return $value >= 0.0 || $quantity === Quantity::Angle
                ? $value
                : throw ValidationException::withMessages([$key => 'must be 0 or more']);
        };
        $fit = FitUp::of(
            $joint,
            $read('gap', Quantity::Wall),
            $read('mismatch', Quantity::Wall),
            $read('off', Quantity::Length),
            $read('towards', Quantity::Angle),
            self::broughtMm($joint, $sketch),
            $this->workshop->shop()->rules,
            $document->units,
        );

        return new JsonResponse([
            'verdict' => $fit->verdict->value,
            'label' => $fit->verdict->label(),
            'lines' => $fit->lines,
            'tacks' => $fit->tackDeg,
        ]);
    }

    /** How long the piece is that is brought to a joint. */
    private static function broughtMm(Joint $joint, Sketch $sketch): float
    {
        foreach ($sketch->cut->piecesOf($joint->run) as $piece) {
            if ($piece->mark === $joint->and->name) {
                return $piece->span->lengthMm();
            }
        }

        return 0.0;
    }
}
