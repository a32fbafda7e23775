<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\CustomerLink;
use App\Models\Job;
use App\Models\User;
use App\Workshop\BenchStanding;
use App\Workshop\Picture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Photos at the steps of a job: in, out, and away again. */
final readonly class PhotoController
{
    private const MOST_OF_A_JOB = 400;

    public function __construct(private BenchStanding $standing) {}

    public function index(Job $job): JsonResponse
    {
        return new JsonResponse(['photos' => self::of($job->id)]);
    }

    public function store(Request $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $request->validate(['id' => ['required', 'uuid'], 'by' => ['required', 'integer']]);
        if ($request->integer('by') !== $user->id) {
            throw ValidationException::withMessages(['by' => 'This photo is somebody else’s: it is sent when they sign in here.']);
        }
        $picture = self::picture($request->file('file'));
        $step = $this->steps($job)[$request->string('step')->value()] ?? null;
        if ($step === null) {
            throw ValidationException::withMessages(['step' => 'The released plan has no such step.']);
        }
        if (count(self::of($job->id)) >= self::MOST_OF_A_JOB) {
            throw ValidationException::withMessages(['file' => sprintf('A job takes %d photos; take one away first.', self::MOST_OF_A_JOB)]);
        }
        // Sent once more because its answer was lost, it is the same photo.
        DB::statement(
            "insert into photos (client_id, job_id, user_id, step, step_kind, step_subject, step_round, wide, high, jpeg, made_at)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, decode(?, 'base64'), now()) on conflict (client_id) do nothing",
            [
                $request->string('id')->toString(), $job->id, $user->id, $step->id, $step->kind->value, $step->subject, $step->round,
                $picture->wide, $picture->high,
                base64_encode($picture->jpeg),
            ],
        );

        return new JsonResponse(['photos' => self::of($job->id)], 201);
    }

    public function show(Job $job, int $photo): Response
    {
        return self::jpeg($job->id, $photo);
    }

    public function destroy(Job $job, int $photo): JsonResponse
    {
        DB::delete('delete from photos where job_id = ? and id = ?', [$job->id, $photo]) > 0 || abort(404);

        return new JsonResponse(['photos' => self::of($job->id)]);
    }

    /** For whoever has a link to the record. */
    public function forCustomer(string $token, int $photo): Response
    {
        $link = CustomerLink::query()->open()->where('fingerprint', CustomerLink::fingerprintOf($token))->first() ?? abort(404);

        // A link can be withdrawn: nothing of it stays behind in a browser.
        return self::jpeg($link->job_id, $photo, 'private, no-store');
    }

    /** @return list<array{id: int, step: string, words: string, wide: int, high: int, by: string}> */
    public static function of(int $job): array
    {
        $photos = [];
        foreach (DB::select('select p.id, p.step, p.step_kind, p.step_subject, p.step_round, p.wide, p.high, u.name as by from photos p join users u on u.id = p.user_id where p.job_id = ? order by p.id', [$job]) as $row) {
            /** @var object{id: int, step: string, step_kind: string, step_subject: string, step_round: int, wide: int, high: int, by: string} $row */
            $words = StepKind::from($row->step_kind)->words($row->step_subject, $row->step_round);
            $photos[] = ['id' => $row->id, 'step' => $row->step, 'words' => $words, 'wide' => $row->wide, 'high' => $row->high, 'by' => $row->by];
        }

        return $photos;
    }

    private static function picture(mixed $file): Picture
    {
        if (! ($file instanceof UploadedFile) || ! $file->isValid() || $file->getSize() > Picture::MOST_MB * 1_000_000) {
            throw ValidationException::withMessages(['file' => sprintf('No photo arrived; one of at most %d MB is taken.', Picture::MOST_MB)]);
        }
        $picture = Picture::of($file->getContent());

        return $picture instanceof Picture ? $picture : throw ValidationException::withMessages(['file' => $picture]);
    }

    /** @return array<string, BenchStep> of the released plan, by id */
    private function steps(Job $job): array
    {
        $job->load('revisions');
        $released = $job->released();

        return $released === null ? [] : array_column($this->standing->progress($job, $released)->steps, null, 'id');
    }

    private static function jpeg(int $job, int $photo, string $kept = 'private, max-age=31536000, immutable'): Response
    {
        $stored = DB::scalar("select encode(jpeg, 'base64') from photos where job_id = ? and id = ?", [$job, $photo]);

        return is_string($stored) ? new Response((string) base64_decode($stored, true), 200, [
            'Content-Type' => 'image/jpeg', 'Cache-Control' => $kept,
        ]) : abort(404);
    }
}
