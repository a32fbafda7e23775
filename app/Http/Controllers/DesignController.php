<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Refused;
use App\Http\Requests\ChangeRequest;
use App\Models\Shop;
use App\Models\StoreItem;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use UpsweptBead\Core\Account\Quote\Comparison;
use UpsweptBead\Core\Account\Quote\ComparisonTable;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Exchange\Screens\SetPlanWriter;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\Designs;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Job\Set\SetReader;

/** Whole designs side by side, and one of them put in place. Nothing is saved here. */
final readonly class DesignController
{
    private const MOST = 4;

    public function __construct(private Workshop $workshop) {}

    public function compare(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $designs = self::designs($job, $request->input('designs'));
        $now = $request->boolean('withCurrent') ? Designs::current($job, 'as it is now') : null;
        $writer = new SetPlanWriter(new FigureWriter($job->units));
        $all = array_slice([...($now === null ? [] : [$now]), ...$designs], 0, self::MOST);

        $shop = $this->workshop->shopFor($job);
        $costs = StoreItem::costs();
        $comparisons = array_map(
            static fn (DesignSpec $one): Comparison => Comparison::of($job, $shop, $one, $costs),
            $all,
        );

        return new JsonResponse([
            'designs' => array_map(
                static fn (Comparison $one): array => $writer->design($one->design, $one->plan),
                $comparisons,
            ),
            'rows' => (new ComparisonTable($comparisons, $job->units, Gate::allows('seeMoney', Shop::class), $shop->money))->rows(),
        ]);
    }

    public function take(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $design = self::designs($job, [$request->input('design')])[0];

        return new JsonResponse(['document' => JobWriter::toArray(Designs::taken($job, $design))]);
    }

    /** @return list<DesignSpec> */
    private static function designs(CoreJob $job, mixed $input): array
    {
        $faults = new Faults;
        $reader = new SetReader($job->units, array_map(static fn (RunSpec $run): string => $run->letter, $job->runs));
        $designs = array_map(
            $reader->design(...),
            Node::wrap(['format' => 'designs', 'designs' => $input], 'designs', null, $faults)
                ->at('designs')
                ->items(self::MOST),
        );
        Refused::ifAny($faults);

        return $designs;
    }
}
