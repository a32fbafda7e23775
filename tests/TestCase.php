<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Models\Role;
use App\Models\User;
use App\Workshop\Drafts;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Plan\Planner;

abstract class TestCase extends BaseTestCase
{
    use KeepsToSchemas;
    use RefreshDatabase;

    /** The best way of the demo downpipe, found once for all tests. */
    private static ?RouteChoice $best = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    public function signIn(Role $role = Role::Fabricator): User
    {
        $user = User::factory()->as($role)->create();
        $this->actingAs($user);

        return $user;
    }

    /** @return array<string, mixed> what a screen gets, as its browser reads it */
    public function shownAt(string $url): array
    {
        $page = $this->get($url)->assertOk()->viewData('page');

        return json_decode((string) json_encode($page), true)['props'];
    }

    /** As if another request had come: what was kept for the last one is gone. */
    public function anotherRequest(): void
    {
        $this->app->forgetScopedInstances();
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $route->flushController();
        }
    }

    /** A draft of the demo downpipe, with or without its best route. */
    public function downpipe(bool $routed = true): Job
    {
        $document = JobReader::fromJson(
            (string) file_get_contents(base_path('database/demo/camper-van-downpipe.job.json')),
        )->job;
        assert($document !== null);
        if ($routed) {
            $document = $document->routed('A', self::$best ??= RouteChoice::of(
                Planner::route($document, 'A', Shop::bare())->answers[0]->run,
            ));
        }

        return $this->app->make(Drafts::class)->begin($document);
    }

    public function released(): Job
    {
        $job = $this->downpipe();
        $this->app
            ->make(Drafts::class)
            ->release($job->load('revisions'), 1, User::factory()->as(Role::Owner)->create());

        return $job->refresh();
    }

    /** @return array<string, mixed> the stored document of a job's newest revision */
    public function document(Job $job): array
    {
        return Revision::query()->where('job_id', $job->id)->orderByDesc('number')->firstOrFail()->document;
    }

    /** @param  array<string, mixed>  $change */
    public function save(Job $job, array $change, int $version = 1): TestResponse
    {
        return $this->putJson("/jobs/$job->id/draft", [
            'version' => $version,
            'document' => array_replace_recursive($this->document($job), $change),
        ]);
    }

    /**
     * @param  array<string, string>  $readings
     * @return array<string, mixed>
     */
    public function entry(
        string $step,
        array $readings = [],
        string $kind = 'done',
        ?string $id = null,
        string $note = '',
    ): array {
        return [
            'id' => $id ?? Str::uuid()->toString(),
            'by' => auth()->id(),
            'revision' => 1,
            'units' => 'inch',
            'step' => $step,
            'kind' => $kind,
            'readings' => $readings,
            'note' => $note,
            'at' => now()->subHour()->toIso8601ZuluString(),
        ];
    }

    /** @param  array<string, mixed>  ...$entries */
    public function log(Job $job, array ...$entries): TestResponse
    {
        return $this->postJson("/jobs/$job->id/log", ['entries' => $entries]);
    }

    public function entries(Job $job): int
    {
        return LogEntry::query()->where('job_id', $job->id)->count();
    }
}
