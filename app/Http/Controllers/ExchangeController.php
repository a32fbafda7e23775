<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Models\Job;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Exchange\Drawing\DxfWriter;
use UpsweptBead\Core\Exchange\Drawing\StepWriter;
use UpsweptBead\Core\Exchange\Drawing\StlWriter;
use UpsweptBead\Core\Exchange\Drawing\TubeSkin;
use UpsweptBead\Core\Exchange\Files\CutListTable;
use UpsweptBead\Core\Exchange\Files\PortsRow;
use UpsweptBead\Core\Exchange\Files\PortsTable;
use UpsweptBead\Core\Exchange\Files\RouteProblemWriter;
use UpsweptBead\Core\Exchange\Files\RouteSolutionReader;
use UpsweptBead\Core\Exchange\Files\RunTables;
use UpsweptBead\Core\Exchange\Files\RunTablesReader;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\Set\DesignRun;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Job\Set\SetWriter;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Stage\Layout\SetProblem;

/** Surveys in from other programs, runs out to them, in open formats. */
final readonly class ExchangeController
{
    private const MOST_PASTED = 60_000;

    public function __construct(private Workshop $workshop) {}

    public function lra(Job $job): Response
    {
        return self::csv(RunTables::lra($this->workshop->plan($this->document($job))), "$job->number-lra.csv");
    }

    public function xyz(Job $job): Response
    {
        try {
            return self::csv(RunTables::xyz($this->workshop->plan($this->document($job))), "$job->number-xyz.csv");
        } catch (\DomainException $error) {
            abort(422, $error->getMessage());
        }
    }

    public function cutList(Job $job): Response
    {
        return self::csv(CutListTable::write($this->workshop->sketch($this->document($job))->cut), "$job->number-cut-list.csv");
    }

    /** All routed runs as a drawing for other programs. */
    public function drawing(Job $job, string $format): Response
    {
        $runs = $this->workshop->sketch($this->document($job))->layout->runs;
        $skins = array_map(TubeSkin::of(...), $runs);
        if ($skins === []) {
            abort(422, 'No run of this job has a route yet, so there is nothing to draw.');
        }
        [$text, $type] = match ($format) {
            'dxf' => [DxfWriter::write($skins), 'image/vnd.dxf'],
            'step' => [StepWriter::write($job->number, $skins, now()->format('Y-m-d\TH:i:s')), 'model/step'],
            default => [StlWriter::write($skins), 'model/stl'],
        };

        return new Response($text, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => 'attachment; filename="'.self::safe("$job->number.$format").'"',
        ]);
    }

    public function problem(Job $job): JsonResponse
    {
        try {
            $problem = SetProblem::of($this->document($job), $this->workshop->shop());
        } catch (UnknownStock|\OutOfBoundsException $error) {
            abort(422, $error->getMessage());
        }

        return new JsonResponse(
            RouteProblemWriter::toArray($problem),
            200,
            ['Content-Disposition' => 'attachment; filename="'.self::safe("$job->number-route-problem.json").'"'],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE,
        );
    }

    /** Says what pasted cells would become, and why some would not; changes nothing. */
    public function paste(ChangeRequest $request): JsonResponse
    {
        $text = $request->written('text');
        if (strlen($text) > self::MOST_PASTED) {
            throw ValidationException::withMessages([
                'text' => sprintf('This is %d bytes long; at most %d are read.', strlen($text), self::MOST_PASTED),
            ]);
        }
        $table = PortsTable::read($text, $request->document()->units);

        return new JsonResponse([
            'rows' => array_map(
                static fn (PortsRow $row): array => [
                    'line' => $row->line,
                    'name' => $row->name,
                    'at' => self::place($row->at),
                    'direction' => $row->direction,
                    'inletAt' => $row->inletAt === null ? null : self::place($row->inletAt),
                    'inletDirection' => $row->inletDirection,
                ],
                $table->rows,
            ),
            'rejected' => $table->rejected,
        ]);
    }

    /**
     * Says what routes from elsewhere would become: tables of bends or of vertices, or an answer to the exported
     * problem.
     */
    public function readRoutes(ChangeRequest $request): JsonResponse
    {
        $text = $request->written('text');
        if (strlen($text) > self::MOST_PASTED) {
            throw ValidationException::withMessages([
                'text' => sprintf('This is %d bytes long; at most %d are read.', strlen($text), self::MOST_PASTED),
            ]);
        }
        $job = $request->document();

        return new JsonResponse(
            str_starts_with(ltrim($text), '{') ? self::solution($text, $job) : self::tables($text, $job),
        );
    }

    /** @return array<string, mixed> */
    private static function tables(string $text, CoreJob $job): array
    {
        $read = RunTablesReader::read($text, $job);
        $runs = [];
        foreach ($read->routes as $letter => $route) {
            $spec = $job->run($letter);
            if ($spec !== null) {
                $runs[] = new DesignRun($letter, $spec->end->at, $spec->end->direction, $route);
            }
        }

        return [
            'design' => $runs === [] ? null : SetWriter::design(new DesignSpec('From a table', '', $runs)),
            'rejected' => $read->rejected,
        ];
    }

    /** @return array<string, mixed> */
    private static function solution(string $text, CoreJob $job): array
    {
        try {
            $read = RouteSolutionReader::read($text, $job, 'From an answer');
        } catch (UnusableDocument $error) {
            throw ValidationException::withMessages(['text' => $error->getMessage()]);
        }

        return $read instanceof DesignSpec
            ? ['design' => SetWriter::design($read), 'rejected' => []]
            : [
                'design' => null,
                'rejected' => array_map(
                    static fn (Fault $fault): array => [
                        'line' => 0,
                        'text' => $fault->path,
                        'why' => $fault->message,
                    ],
                    $read,
                ),
            ];
    }

    /**
     * @param  array{Length, Length, Length}  $at
     * @return list<string|float>
     */
    private static function place(array $at): array
    {
        return array_map(static fn (Length $one): string|float => $one->entered(), $at);
    }

    private function document(Job $job): CoreJob
    {
        return $this->workshop->read($job->load('revisions')->current());
    }

    private static function csv(string $text, string $name): Response
    {
        return new Response($text, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.self::safe($name).'"',
        ]);
    }

    private static function safe(string $name): string
    {
        return (string) preg_replace('/[^A-Za-z0-9._-]+/', '-', $name);
    }
}
