<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Http\Requests\WrittenRequest;
use App\Models\Job;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Files\Template\Paper;
use UpsweptBead\Core\Exchange\Files\Template\TemplateFormat;
use UpsweptBead\Core\Exchange\Screens\ClosingWriter;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;
use UpsweptBead\Core\Solve\Run\ClosingPiece;
use UpsweptBead\Core\Solve\Run\StandingGap;
use UpsweptBead\Core\Stage\Fit\FitUp;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Plan\AsBuilt;
use UpsweptBead\Core\Stage\Plan\Sketch;
use UpsweptBead\Core\Stage\Plan\StandsByGap;

/** What to do where something was measured otherwise than it was planned. */
final readonly class FitController
{
    /** The rod that shows which way an end points: 300 mm, or a foot. */
    private const ROD_MM = 300.0;

    private const ROD_IN = 304.8;

    /** Points round a rim of a template: one every 2.5°. */
    private const RIM_STEPS = 144;

    public function __construct(private Workshop $workshop) {}

    public function measured(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        $sketch = $this->workshop->sketch($document);
        $joint = $sketch->joints->find($request->written('joint'))
            ?? throw ValidationException::withMessages(['joint' => 'The job has no such joint.']);
        $fit = FitUp::of(
            $joint,
            self::read($request, 'gap', Quantity::Wall, $document->units),
            self::read($request, 'mismatch', Quantity::Wall, $document->units),
            self::read($request, 'off', Quantity::Length, $document->units),
            self::read($request, 'towards', Quantity::Angle, $document->units, true),
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

    /**
     * A run of which a part stands and was measured: what comes behind it brought to the far end again. Nothing is
     * saved.
     */
    public function asBuilt(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        $rodMm = $document->units === UnitSystem::Inch ? self::ROD_IN : self::ROD_MM;
        try {
            [$off, $rodOff] = $request->written('upTo') === ''
                ? self::standsOff($request, $document->units)
                : $this->standsByGap($request, $document, $rodMm);
            $built = AsBuilt::of(
                $document,
                $this->workshop->shopFor($document),
                $request->written('joint'),
                $off,
                $rodOff,
                $rodMm,
            );
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['joint' => $error->getMessage()]);
        }
        $figures = new FigureWriter($document->units);

        return new JsonResponse([
            'closed' => $built->isClosed(),
            'otherWay' => $built->isOtherWay,
            'left' => sprintf(
                '%s and %s',
                $figures->length($built->left->gapMm)['text'],
                $figures->plain(Quantity::Angle, $built->left->angleDeg)['text'],
            ),
            'changes' => array_map(static fn (array $one): array => [
                'mark' => $one['mark'],
                'was' => $figures->length($one['was']),
                'is' => $figures->length($one['is']),
                'turn' => $figures->plain(Quantity::Angle, round($one['turnIs'] - $one['turnWas'], 1)),
            ], $built->changes()),
            'document' => JobWriter::toArray($built->job),
        ]);
    }

    /**
     * By how much it stands off, and the end of a rod in it, as they were read.
     *
     * @return array{Vector, ?Vector}
     */
    private static function standsOff(ChangeRequest $request, UnitSystem $units): array
    {
        $rodKeys = ['rodRearward', 'rodRight', 'rodUp'];
        $isAimed = implode('', array_map(static fn (string $key): string => trim($request->written($key)), $rodKeys)) !== '';

        return [
            self::place($request, ['rearward', 'right', 'up'], $units),
            $isAimed ? self::place($request, $rodKeys, $units) : null,
        ];
    }

    /**
     * By how much it stands off, and the end of a rod in it, from the gap that was read behind it.
     *
     * @return array{Vector, Vector}
     *
     * @throws \DomainException if the readings say no place
     */
    private function standsByGap(ChangeRequest $request, CoreJob $document, float $rodMm): array
    {
        $sketch = $this->workshop->sketch($document);
        $joint = $sketch->joints->find($request->written('joint'))
            ?? throw ValidationException::withMessages(['joint' => 'The job has no such joint.']);
        $stands = StandsByGap::between($sketch, $joint, $request->written('upTo'))
            ?? throw ValidationException::withMessages(['upTo' => 'must be a joint behind it on the same run, or "end"']);
        $sigmaMm = $this->workshop->shop()->rules->value('measure.gap');

        return $stands->off(self::gap($request, $stands->odMm(), $sigmaMm, $document->units), $rodMm);
    }

    /** The piece that closes the gap between two tubes that stand, from what was read round it. */
    public function closingPiece(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();

        return new JsonResponse((new ClosingWriter(new FigureWriter($document->units)))->toArray(
            $this->closing($request, $document),
        ));
    }

    /** The same laid flat, to wrap round the tube; of a straight piece only. */
    public function closingTemplate(WrittenRequest $request, Job $job): Response
    {
        $document = $this->workshop->read($job->load('revisions')->current());
        $piece = $this->closing($request, $document);
        if ($piece->donor !== null) {
            throw ValidationException::withMessages(['gap' => 'It comes out of a bend, and a bend cannot be unrolled: mark it by the hour.']);
        }
        $template = WrapTemplate::ofPiece(
            "$document->number closing piece of {$request->written('letter')}",
            $piece->rims(self::RIM_STEPS),
            $piece->gap->odMm,
            $this->workshop->shop()->rules->value('merge.paper'),
        );
        $name = preg_replace('/[^A-Za-z0-9-]+/', '-', "$job->number-closing-piece").'.pdf';

        $paper = $document->units === UnitSystem::Inch ? Paper::Letter : Paper::A4;

        return new Response(TemplateFormat::Pdf->write($template, $paper), 200, [
            'Content-Type' => TemplateFormat::Pdf->mime(),
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }

    /** @throws ValidationException if it cannot be read, or nothing closes it */
    private function closing(WrittenRequest $request, CoreJob $document): ClosingPiece
    {
        $shop = $this->workshop->shopFor($document);
        $tube = $shop->catalogue->tubes[$document->run($request->written('letter'))->tubeId ?? '']
            ?? throw ValidationException::withMessages(['letter' => 'The job has no such run of a known tube.']);
        $gap = self::gap($request, $tube->odMm, $shop->rules->value('measure.gap'), $document->units);
        try {
            return ClosingPiece::of($gap, $shop->catalogue->bendsFor($tube->id));
        } catch (\DomainException $error) {
            $writer = new ClosingWriter(new FigureWriter($document->units));
            throw ValidationException::withMessages(['gap' => trim($writer->quarrel($gap).' '.$error->getMessage())]);
        }
    }

    /** @throws ValidationException if one of the readings cannot be read */
    private static function gap(WrittenRequest $request, float $odMm, float $sigmaMm, UnitSystem $units): StandingGap
    {
        $read = static fn (string $key, bool $mayBeNegative): float => self::read(
            $request,
            $key,
            Quantity::Length,
            $units,
            $mayBeNegative,
        );

        return new StandingGap(
            [$read('at12', false), $read('at3', false), $read('at6', false), $read('at9', false)],
            $read('proud12', true),
            $read('proud3', true),
            $odMm,
            $sigmaMm,
        );
    }

    /**
     * @param  array{string, string, string}  $keys
     *
     * @throws ValidationException if one cannot be read
     */
    private static function place(WrittenRequest $request, array $keys, UnitSystem $units): Vector
    {
        [$x, $y, $z] = array_map(
            static fn (string $key): float => self::read($request, $key, Quantity::Length, $units, true),
            $keys,
        );

        return new Vector($x, $y, $z);
    }

    /** @throws ValidationException if it cannot be read, or is less than nothing where that means nothing */
    private static function read(
        WrittenRequest $request,
        string $key,
        Quantity $quantity,
        UnitSystem $units,
        bool $mayBeNegative = false,
    ): float {
        $text = trim($request->written($key));
        try {
            $value = $text === '' ? 0.0 : $quantity->parse($text, $units);
        } catch (UnreadableQuantity $error) {
            throw ValidationException::withMessages([$key => $error->getMessage()]);
        }

        return $value >= 0.0 || $mayBeNegative
            ? $value
            : throw ValidationException::withMessages([$key => 'must be 0 or more']);
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
