<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\CustomerLink;
use App\Models\Job;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Makes and withdraws the links by which a customer reads the record of a job. */
final readonly class CustomerLinkController
{
    private const MOST_DAYS = 90;

    /** Of a secret of the browser’s address bar: 40 letters and digits. */
    private const TOKEN_LENGTH = 40;

    public function index(Job $job): JsonResponse
    {
        return new JsonResponse(['links' => self::open($job), 'made' => null]);
    }

    public function store(Request $request, Job $job): JsonResponse
    {
        $request->validate(['days' => ['required', 'integer', 'min:1', 'max:'.self::MOST_DAYS]]);
        $user = $request->user();
        assert($user instanceof User);
        $job->load('revisions');
        abort_if($job->released() === null, 409, 'Nothing of this job is released yet: there is nothing to show.');
        $token = Str::random(self::TOKEN_LENGTH);
        CustomerLink::query()->create([
            'job_id' => $job->id,
            'user_id' => $user->id,
            'fingerprint' => CustomerLink::fingerprintOf($token),
            'made_at' => now(),
            'expires_at' => now()->addDays($request->integer('days')),
        ]);

        return new JsonResponse(['links' => self::open($job), 'made' => url("/record/$token")], 201);
    }

    public function destroy(Job $job, CustomerLink $link): JsonResponse
    {
        abort_if($link->job_id !== $job->id, 404);
        $link->update(['withdrawn_at' => $link->withdrawn_at ?? now()]);

        return new JsonResponse(['links' => self::open($job), 'made' => null]);
    }

    /** @return list<array{id: int, until: string}> */
    private static function open(Job $job): array
    {
        return array_values(
            CustomerLink::query()->open()->where('job_id', $job->id)->orderBy('expires_at')->get()
                ->map(static fn (CustomerLink $one): array => $one->line())->all(),
        );
    }
}
