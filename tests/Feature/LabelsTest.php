<?php

declare(strict_types=1);

use App\Models\StoreItem;
use App\Print\QrCode;
use Smalot\PdfParser\Parser;
use Symfony\Component\Process\Process;
use UpsweptBead\Core\Account\Stores\ItemKind;

/** What a reader of another maker (zbar) finds on the pages of a PDF, drawn at 200 dots to the inch. @return list<string> */
function scanned(string $pdf): array
{
    $folder = sys_get_temp_dir().'/labels-'.bin2hex(random_bytes(6));
    mkdir($folder);
    try {
        file_put_contents("$folder/l.pdf", $pdf);
        (new Process(['pdftoppm', '-r', '200', '-png', "$folder/l.pdf", "$folder/p"]))->mustRun();
        $zbar = new Process(['zbarimg', '-q', '--raw', '-Sdisable', '-Sqrcode.enable', ...(array) glob("$folder/p*.png")]);
        $zbar->run();

        return array_values(array_filter(explode("\n", $zbar->getOutput())));
    } finally {
        array_map(unlink(...), (array) glob("$folder/*"));
        rmdir($folder);
    }
}

it('gives every piece a label whose code opens it at the bench', function () {
    $this->signIn();
    $job = $this->downpipe();
    $pdf = $this->get("/jobs/$job->id/labels.pdf?skip=2")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $marks = array_merge(...array_column($this->getJson("/jobs/$job->id/cutting")->json('opened'), 'marks'));
    $base = rtrim(config()->string('app.url'), '/');
    expect(scanned((string) $pdf->getContent()))->toEqualCanonicalizing(
        array_map(static fn (string $mark): string => "$base/jobs/$job->id/bench?step=prepare.$mark", $marks),
    );
});

it('gives an offcut a label whose code opens it in the stores', function () {
    $this->signIn();
    $item = StoreItem::query()->create([
        'key' => 'K-77', 'kind' => ItemKind::Offcut, 'name' => '8 in of T3.000x.065', 'tube_id' => 'T3.000x.065', 'stock_id' => 'T3.000x.065',
        'shape' => ['before' => 203.2, 'angle' => 0, 'after' => 0, 'clr' => 0],
    ]);
    Illuminate\Support\Facades\DB::table('store_items')->where('id', $item->id)->update(['on_hand' => 1]);
    $pdf = (string) $this->get("/stores/labels.pdf?item=$item->id")->assertOk()->getContent();
    expect(scanned($pdf))->toBe([rtrim(config()->string('app.url'), '/').'/stores?find=K-77']);
    $this->get('/stores/labels.pdf?skip=99')->assertSessionHasErrors('skip');
});

it('makes a code for the longest address there can be', function () {
    expect(QrCode::png('http://'.str_repeat('a', 60).'/jobs/999999999999/bench?step=prepare.A10'))->toStartWith('data:image/png;base64,');
});

it('prints the cut list in the units of the job, each piece with its drawing', function (string $units, string $length, string $other) {
    $this->signIn();
    $job = $this->downpipe();
    $this->save($job, ['job' => ['units' => $units]])->assertOk();
    $answer = $this->get("/jobs/$job->id/cut-list.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $text = (string) preg_replace('/\s+/u', ' ', (new Parser)->parseContent((string) $answer->getContent())->getText());
    expect($text)->toContain('Cut list')->toContain('A1')->toMatch($length)->not->toMatch($other)->toContain('with the flow');
})->with([
    'inch' => ['inch', '~\d+ \d+/32 in~', '~\d mm~'],
    'metric' => ['metric', '~\d+(\.\d)? mm~', '~\d/\d+ in\b~'],
]);
