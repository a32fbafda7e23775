<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Workshop\KnownPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FlatnessWriter;

/** How flat a face is by what was read so far, while it is being measured; nothing is stored. */
final readonly class FlatnessController
{
    private const MOST_READINGS = 60;

    public function __construct(private KnownPlans $plans) {}

    public function __invoke(Request $request, Job $job): JsonResponse
    {
        $job->load('revisions');
        $released = $job->released() ?? abort(404);
        $face = (array_column($this->plans->of($released)->steps, null, 'id')[$request->string('step')->toString()] ?? null)?->face;
        abort_if($face === null, 404, 'No face is measured at that step.');
        $units = UnitSystem::tryFrom($request->string('units')->toString()) ?? UnitSystem::Metric;
        $given = $request->input('readings');
        $readings = [];
        foreach (array_slice(is_array($given) ? $given : [], 0, self::MOST_READINGS) as $name => $text) {
            if (! is_string($text) || trim($text) === '') {
                continue;
            }
            try {
                $readings[(string) $name] = Quantity::Wall->parse(mb_substr($text, 0, 60), $units);
            } catch (UnreadableQuantity $error) {
                throw ValidationException::withMessages(["readings.$name" => $error->getMessage()]);
            }
        }

        return new JsonResponse(FlatnessWriter::map($face, $readings, $units));
    }
}
