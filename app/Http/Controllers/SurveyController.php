<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\KnownPlace;
use App\Http\Refused;
use App\Http\Requests\ChangeRequest;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\Set\SetWriter;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Stage\Survey\InletRing;
use UpsweptBead\Core\Stage\Survey\KeepOutKit;
use UpsweptBead\Core\Stage\Survey\KitField;
use UpsweptBead\Core\Stage\Survey\OtherBank;
use UpsweptBead\Core\Stage\Survey\RunEdits;
use UpsweptBead\Core\Stage\Survey\Surveyed;
use UpsweptBead\Core\Stage\Survey\TouchedKeepOut;

/** What saves measuring at the survey. A document goes in, a changed one comes out; nothing is saved here. */
final readonly class SurveyController
{
    private const MOST_TOUCHED = 24;

    public function __construct(private Workshop $workshop) {}

    /** What each kind of keep-out asks, with what the ports already tell. */
    public function kits(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();

        return new JsonResponse(['kits' => array_map(static fn (array $kit): array => [
            'kind' => $kit['kind']->value, 'name' => $kit['kind']->label(), 'says' => $kit['says'],
            'fields' => array_map(static fn (KitField $field): array => [
                'key' => $field->key, 'label' => $field->label, 'kind' => $field->kind,
                'proposed' => array_map(static fn (float $one): string|float => match ($field->kind) {
                    'direction' => $one,
                    'angle' => Quantity::Angle->show($one, $job->units),
                    default => Quantity::Length->show($one, $job->units),
                }, $field->proposed),
            ], $kit['fields']),
        ], KeepOutKit::all($job))]);
    }

    /** The solid that follows from the answers to a kit, as it stands in a document. */
    public function kit(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $kind =
            KeepOutKind::tryFrom($request->written('kind')) ??
            throw ValidationException::withMessages(['kind' => 'There is no such kind of keep-out.']);
        $faults = new Faults();
        $answers = $request->input('answers');
        $made = KeepOutKit::make(
            $job,
            $kind,
            Node::wrap(['format' => 'answers', ...is_array($answers) ? $answers : []], 'answers', null, $faults),
        );
        Refused::ifAny($faults);

        return new JsonResponse(['keepOut' => SetWriter::keepOut($made)]);
    }

    /** The solid by the points that were touched on it: three lengths each, or the name of a measured point or end. */
    public function touched(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $kind =
            KeepOutKind::tryFrom($request->written('kind')) ??
            throw ValidationException::withMessages(['kind' => 'There is no such kind of keep-out.']);
        $surveyed = Surveyed::of($job, $this->workshop->shop());
        $faults = new Faults();
        $answers = Node::of($request->only(['points', 'diameter']), $faults);
        $points = [];
        $growMm = 0.0;
        foreach ($answers->at('points')->items(self::MOST_TOUCHED) as $one) {
            $place = KnownPlace::of($one, $surveyed, $job->units);
            $points[] = $place->at;
            $growMm = max($growMm, $place->mayBeOffMm);
        }
        $diameterMm = $answers->at('diameter')->isMissing() || $answers->at('diameter')->isBlank()
            ? 0.0
            : $answers->at('diameter')->length($job->units)->mm;
        Refused::ifAny($faults);
        try {
            $made = $request->boolean('moves')
                ? TouchedKeepOut::moving($job, $kind, $points, $diameterMm, $growMm)
                : [TouchedKeepOut::of($job, $kind, $points, $diameterMm, $growMm)];
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['points' => $error->getMessage()]);
        }

        return new JsonResponse(['keepOuts' => array_map(SetWriter::keepOut(...), $made)]);
    }

    public function row(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $faults = new Faults();
        $root = Node::wrap(
            ['format' => 'row', 'spacings' => $request->input('spacings'), 'axis' => $request->input('axis')],
            'row',
            null,
            $faults,
        );
        $spacings = array_map(
            static fn (Node $one): Length => $one->length($job->units),
            $root->at('spacings')->items(15),
        );
        $axis = $root->at('axis')->direction();
        Refused::ifAny($faults);

        return self::changed(
            'spacings',
            static fn (): CoreJob => RunEdits::inRow(
                $job,
                $request->written('letter'),
                $spacings,
                new Vector($axis->x, $axis->y, $axis->z),
            ),
        );
    }

    public function mirror(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $faults = new Faults();
        $plane = Node::wrap(['format' => 'mirror', 'plane' => $request->input('plane')], 'mirror', null, $faults)
            ->at('plane')
            ->length($job->units);
        Refused::ifAny($faults);

        return self::changed('plane', static fn (): CoreJob => OtherBank::of($job, $plane));
    }

    public function collector(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $faults = new Faults();
        $root = Node::wrap(
            [
                'format' => 'collector',
                ...$request->only(['at', 'axis', 'turn', 'gap', 'runs', 'name', 'assignment', 'entry']),
            ],
            'collector',
            null,
            $faults,
        );
        $at = array_map(static fn (Node $one): float => $one->length($job->units)->mm, $root->at('at')->items(3));
        $axis = $root->at('axis')->direction();
        $turn = $root->at('turn')->quantity(Quantity::Angle, $job->units, 360);
        $gap = $root->at('gap')->length($job->units);
        $name = $root->at('name')->required(60);
        $mode = $root->at('assignment')->choice(AssignmentMode::class, AssignmentMode::Any);
        $entry = $root->at('entry')->choice(CollectorEntry::class, CollectorEntry::Welded);
        $letters = array_map(static fn (Node $one): string => $one->required(2), $root->at('runs')->items(16));
        if ($gap->mm < 0 || count($at) !== 3) {
            $root
                ->at($gap->mm < 0 ? 'gap' : 'at')
                ->complain(
                    'out-of-range',
                    $gap->mm < 0 ? 'must not be negative' : 'must be three lengths: rearward, right and up',
                );
        }
        Refused::ifAny($faults);
        $tube = $job->run($letters[0] ?? '')->tubeId ?? '';
        try {
            $odMm = $this->workshop->shop()->catalogue->tube($tube)->odMm;
        } catch (UnknownStock $error) {
            throw ValidationException::withMessages([
                'runs' => $tube === '' ? 'Name the runs that meet in it, by letter.' : $error->getMessage(),
            ]);
        }

        $collector = new CollectorSpec($name, $letters, $mode, [], $entry);
        $ring = new InletRing(new Vector($at[0], $at[1], $at[2]), $axis, $turn, $gap, $odMm);

        return self::changed('runs', static fn (): CoreJob => RunEdits::collected($job, $collector, $ring));
    }

    public function scrolls(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();

        return self::changed(
            'firing',
            static fn (): CoreJob => RunEdits::pairedScrolls(
                $job,
                $request->written('collector'),
                $request->written('firing'),
            ),
        );
    }

    /** @param  \Closure(): CoreJob  $edit */
    private static function changed(string $field, \Closure $edit): JsonResponse
    {
        try {
            return new JsonResponse(['document' => JobWriter::toArray($edit())]);
        } catch (\DomainException $error) {
            throw ValidationException::withMessages([$field => $error->getMessage()]);
        }
    }
}
