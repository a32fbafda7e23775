<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

beforeEach(fn () => $this->signIn());

it('gives the runs out as length-rotation-angle and as vertices', function () {
    $job = $this->downpipe();
    $lra = $this->get("/jobs/$job->id/lra.csv")
        ->assertOk()
        ->assertHeader('Content-Disposition', 'attachment; filename="TB-0412-lra.csv"')
        ->getContent();
    expect($lra)->toStartWith("run,bend,straight_mm,rotation_deg,angle_deg,clr_mm\nA,1,");
    $this->get("/jobs/$job->id/xyz.csv")
        ->assertOk()
        ->assertSee('A,0,0.000,0.000,0.000,', false);
});

it('gives the survey out as a route problem that reads back', function () {
    $job = $this->downpipe(false);
    $json = (string) $this->get("/jobs/$job->id/route-problem.json")
        ->assertOk()
        ->getContent();
    $read = RouteProblemReader::read($json);
    expect($read)->toBeInstanceOf(RouteProblem::class)->and($read->ports[0]->id)->toBe('A');
});

it('says what pasted ports would become, line by line, and changes nothing', function () {
    $job = $this->downpipe();
    $before = $this->document($job);
    $this->postJson("/jobs/$job->id/paste", [
        'document' => $before,
        'text' => "Port 1,0,0,0,0,1,0\nPort 2,3 5/8,0,0,0,1,0\nPort 3,x,0,0,0,1,0",
    ])
        ->assertOk()
        ->assertJsonPath('rows.1.at.0', '3 5/8 in')
        ->assertJsonPath('rejected.0.line', 3);
    expect($this->document($job))->toEqual($before);
});

it('will not read endless pastes', function () {
    $job = $this->downpipe();
    $this->postJson("/jobs/$job->id/paste", [
        'document' => $this->document($job),
        'text' => str_repeat('a,1,2,3,4,5,6', 10_000),
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['text']);
});

it('gives the runs out as drawings and the pieces as a table', function () {
    $job = $this->downpipe();
    $dxf = $this->get("/jobs/$job->id/runs.dxf")->assertOk()->assertHeader('Content-Type', 'image/vnd.dxf');
    $step = $this->get("/jobs/$job->id/runs.step")->assertOk()->assertHeader('Content-Type', 'model/step');
    $stl = $this->get("/jobs/$job->id/runs.stl")->assertOk()->assertHeader('Content-Type', 'model/stl');
    expect($dxf->getContent())->toContain('RUN-A')->toContain('AC1009')
        ->and($step->getContent())->toStartWith('ISO-10303-21;')->toContain('TOROIDAL_SURFACE')
        ->and($step->headers->get('Content-Disposition'))->toContain('TB-0412.step')
        ->and(strlen((string) $stl->getContent()))->toBe(84 + 50 * unpack('V', substr((string) $stl->getContent(), 80, 4))[1]);
    $list = $this->get("/jobs/$job->id/cut-list.csv")->assertOk()->getContent();
    expect($list)->toStartWith('run,piece,stock')->toContain("\nA,A1,");
});

it('says that there is nothing to draw before a run has a route', function () {
    $job = $this->downpipe(routed: false);
    $this->getJson("/jobs/$job->id/runs.step")->assertUnprocessable()->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'route'));
    $this->get("/jobs/$job->id/runs.exe")->assertNotFound();
});
