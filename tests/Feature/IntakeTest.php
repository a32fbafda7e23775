<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use App\Workshop\Drafts;
use Smalot\PdfParser\Parser;
use UpsweptBead\Core\Tests\Support\SomeIntake;

function asked(string $purpose, array $answers = []): Job
{
    return app(Drafts::class)->begin(SomeIntake::job($purpose, $answers));
}

beforeEach(fn () => $this->signIn());

it('asks by the purpose and answers at once', function () {
    $job = asked('turbo-manifold', ['scrolls' => 'two', 'load' => 'long']);
    $answer = $this->postJson("/jobs/$job->id/intake", ['document' => $this->document($job)])->assertOk()->json();
    expect(array_column($answer['questions'], 'key'))->toContain('firing')
        ->and(array_column($answer['figures'], 'text', 'key'))->toMatchArray(['intake.metal' => '321', 'intake.pairing' => '1 + 4 and 2 + 3'])
        ->and($answer['layout'])->toBe(['says' => '4 runs of NPS 1 1/4 schedule 10S, 321, into two scrolls', 'isThere' => false]);
});

it('lays the job out, saves what was laid out, and says so', function () {
    $job = asked('header', ['cylinders' => 3]);
    $laid = $this->postJson("/jobs/$job->id/intake/layout", ['document' => $this->document($job)])->assertOk()->json('document');
    expect(array_column($laid['runs'], 'letter'))->toBe(['A', 'B', 'C'])->and($laid['intake'])->toBe(['cylinders' => 3]);
    $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'revision' => 1, 'document' => $laid])->assertOk();
    $again = $this->postJson("/jobs/$job->id/intake", ['document' => $laid])->assertOk()->json('layout');
    expect($again['isThere'])->toBeTrue();
});

it('counts a first quote, and holds it against the budget', function () {
    $job = asked('turbo-downpipe', ['budget' => 50]);
    $quote = $this->postJson("/jobs/$job->id/intake/quote", ['document' => $this->document($job)])->assertOk()->json('quote');
    expect($quote['low'])->toBeLessThanOrEqual($quote['likely'])
        ->and(fmod($quote['likely'], 10))->toEqual(0)
        ->and($quote['budget'])->toContain('below the least of it');
});

it('has nothing to lay out or to count of a repair', function () {
    $job = asked('repair');
    $document = ['document' => $this->document($job)];
    $this->postJson("/jobs/$job->id/intake/quote", $document)->assertOk()->assertJson(['quote' => null]);
    $this->postJson("/jobs/$job->id/intake/layout", $document)->assertUnprocessable()->assertJsonValidationErrors('document');
});

it('refuses an answer that cannot be, by its place', function () {
    $job = asked('header');
    $document = [...$this->document($job), 'intake' => ['cylinders' => 40]];
    $this->postJson("/jobs/$job->id/intake", ['document' => $document])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['intake.cylinders' => 'a whole number from 1 to 12']);
});

it('prints what to measure at the vehicle, for those too who see no money', function () {
    $job = asked('header');
    $this->signIn(Role::Viewer);
    $answer = $this->get("/jobs/$job->id/at-the-vehicle.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $text = preg_replace('/\s+/u', ' ', (new Parser)->parseContent((string) $answer->getContent())->getText());
    expect($text)->toContain('Ports, all 4')->toContain('Tyre at full lock');
    $this->postJson("/jobs/$job->id/intake/quote", ['document' => $this->document($job)])->assertForbidden();
});
