<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\MergeProblem;
use UpsweptBead\Core\Exchange\Files\MergeProblemReader;
use UpsweptBead\Core\Exchange\Files\Template\Paper;
use UpsweptBead\Core\Exchange\Files\Template\PdfFile;
use UpsweptBead\Core\Exchange\Files\Template\ProblemTemplate;
use UpsweptBead\Core\Exchange\Files\Template\TemplateFormat;
use UpsweptBead\Core\Exchange\Files\Template\TemplatePdf;
use UpsweptBead\Core\Solve\Merge\CutLine;
use UpsweptBead\Core\Solve\Merge\Template\Layer;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\SomeMerges;

covers(TemplatePdf::class, PdfFile::class, CutLine::class);

/** @param  array<string, mixed>  $problem */
function templateOf(array $problem, string $tube): WrapTemplate|string
{
    $read = MergeProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));
    assert($read instanceof MergeProblem);

    return ProblemTemplate::of($read, $tube);
}

/** @return array<string, list<array{float, float}>> what an XML parser finds in the SVG, y up, in mm */
function linesOfSvg(string $svg): array
{
    $xml = new SimpleXMLElement($svg);
    [, , $width, $height] = array_map(floatval(...), explode(' ', (string) $xml['viewBox']));
    expect((string) $xml['width'])->toBe(sprintf('%.4Fmm', $width))->and((string) $xml['height'])->toBe(sprintf('%.4Fmm', $height));
    $lines = [];
    foreach ($xml->children() as $element) {
        if ((string) $element['id'] !== '') {
            $points = array_map(
                static fn (string $one): array => array_map(floatval(...), explode(',', $one)),
                explode(' ', (string) $element['points']),
            );
            $lines[(string) $element['id']] = array_map(static fn (array $one): array => [$one[0], $height - $one[1]], $points);
        }
    }

    return $lines;
}

/** @return array<string, list<array{float, float}>> what poppler makes of the PDF, y up, in mm, by the colour of its strokes */
function linesOfPdf(string $pdf, int $page = 1): array
{
    $file = tempnam(sys_get_temp_dir(), 'template');
    file_put_contents("$file.pdf", $pdf);
    exec(sprintf('pdftocairo -svg -f %1$d -l %1$d %2$s %3$s', $page, escapeshellarg("$file.pdf"), escapeshellarg("$file.svg")));
    $svg = (string) file_get_contents("$file.svg");
    array_map(unlink(...), [$file, "$file.pdf", "$file.svg"]);
    $lines = [];
    foreach (Layer::cases() as $layer) {
        [$red, $green, $blue] = array_map(hexdec(...), str_split(ltrim($layer->colour(), '#'), 2));
        foreach (explode('<path', $svg) as $path) {
            preg_match('/stroke[:=]"?rgb\(([\d.]+)%, ?([\d.]+)%, ?([\d.]+)%\)/', $path, $colour);
            preg_match('/ d="([^"]+)"/', $path, $d);
            preg_match('/matrix\(([^)]+)\)/', $path, $matrix);
            $seen = array_map(floatval(...), array_slice($colour, 1));
            if ($seen === [] || abs($seen[0] - $red / 2.55) + abs($seen[1] - $green / 2.55) + abs($seen[2] - $blue / 2.55) > 0.1) {
                continue;
            }
            [$a, , , $e, $x, $y] = array_map(floatval(...), explode(',', $matrix[1] ?? '1,0,0,1,0,0'));
            preg_match_all('/[ML] ?([-\d.]+) ([-\d.]+)/', $d[1] ?? '', $found, PREG_SET_ORDER);
            $lines[$layer->value] ??= array_map(
                static fn (array $one): array => [($a * (float) $one[1] + $x) * 25.4 / 72, -($e * (float) $one[2] + $y) * 25.4 / 72],
                $found,
            );
        }
    }

    return $lines;
}

/** @return array<string, list<array{float, float}>> what ezdxf finds, by layer */
function linesOfDxf(string $dxf): array
{
    $read = NodeReference::ask('template-dxf.py', ['dxf' => $dxf]);
    expect($read['units'])->toBe(4, 'millimetres');

    return array_change_key_case(array_map(static fn (array $lines): array => $lines[0], $read['lines']));
}

it('is to scale in every format, as independent readers find', function (TemplateFormat $format) {
    $template = templateOf(SomeMerges::shipped('03-straight-4'), 'A');
    assert($template instanceof WrapTemplate);
    $file = $format->write($template);
    $lines = match ($format) {
        TemplateFormat::Svg => linesOfSvg($file),
        TemplateFormat::Dxf => linesOfDxf($file),
        TemplateFormat::Pdf => linesOfPdf($file),
    };
    // The paper is 0.12 mm thick and lies on a tube of 44.45 mm.
    $width = M_PI * (44.45 + 0.12);
    $long = static fn (array $line): float => hypot($line[1][0] - $line[0][0], $line[1][1] - $line[0][1]);
    expect($long($lines['proof']))->toBeClose(100.0, 0, 0.01)
        ->and($lines['proof'][0][1])->toBeClose($lines['proof'][1][1], 0, 0.01)
        ->and($long($lines['datum']))->toBeClose($width, 0, 0.01)
        ->and($lines['index'][0][0])->toBeClose($lines['datum'][0][0], 0, 0.01)
        ->and($lines['index'][0][1])->toBeClose($lines['datum'][0][1], 0, 0.01);
    // Every row of the shipped table lies on the line that is cut.
    foreach (SomeMerges::shipped('03-straight-4', 'answers/')['tubes'][0]['table'] as ['psi' => $psi, 's' => $s]) {
        $at = [$lines['datum'][0][0] + $width * $psi / 360, $lines['datum'][0][1] + $s - 30.0];
        $nearest = INF;
        foreach ($lines['cut'] as $i => $point) {
            $from = $lines['cut'][max(0, $i - 1)];
            $along = [$point[0] - $from[0], $point[1] - $from[1]];
            $size = $along[0] ** 2 + $along[1] ** 2;
            $share = $size > 0.0 ? max(0.0, min(1.0, (($at[0] - $from[0]) * $along[0] + ($at[1] - $from[1]) * $along[1]) / $size)) : 0.0;
            $nearest = min($nearest, hypot($from[0] + $share * $along[0] - $at[0], $from[1] + $share * $along[1] - $at[1]));
        }
        expect($nearest)->toBeLessThan(0.01);
    }
})->with(TemplateFormat::cases());

// Rolled round its tube again, with every point on the skin of a neighbour or in the outlet plane.
it('touches the neighbour all the way round when it is rolled up', function () {
    $problem = [...SomeMerges::shipped('03-straight-4'), 'paper' => 0];
    $template = templateOf($problem, 'A');
    assert($template instanceof WrapTemplate);
    $lines = linesOfSvg(TemplateFormat::Svg->write($template));
    $lean = deg2rad(9);
    foreach ($lines['cut'] as [$x, $y]) {
        $psi = 2 * ($x - $lines['datum'][0][0]) / 44.45;
        $s = $y - $lines['datum'][0][1] + 30.0;
        $out = 36.0 - $s * sin($lean) + 22.225 * cos($psi) * cos($lean);
        $aside = 22.225 * sin($psi);
        $up = $s * cos($lean) + 22.225 * cos($psi) * sin($lean);
        $gaps = [abs($up - 128.81339)];
        // The neighbours stand a quarter round the axis.
        foreach ([1, -1] as $side) {
            [$away, $across] = [$side * $aside, -$side * $out];
            $gaps[] = abs(hypot(($away - 36.0) * cos($lean) + $up * sin($lean), $across) - 22.225);
        }
        expect(min($gaps))->toBeLessThan(0.02);
    }
});

it('is tiled on the paper there is, every page a step further and with a proof line of its own', function (Paper $paper, float $stepMm) {
    $template = templateOf(SomeMerges::shipped('16-saddle-60-offset'), 'main');
    assert($template instanceof WrapTemplate);
    $pdf = TemplateFormat::Pdf->write($template, $paper);
    expect(substr_count($pdf, '/Type /Page '))->toBe(2);
    [$first, $second] = [linesOfPdf($pdf, 1), linesOfPdf($pdf, 2)];
    foreach ([0, 1] as $end) {
        // The first datum of a page is the template's, wherever the page is cut off.
        expect($first['datum'][$end][0] - $second['datum'][$end][0])->toBeClose($stepMm, 0, 0.01)
            ->and($first['datum'][$end][1])->toBeClose($second['datum'][$end][1], 0, 0.01);
    }
    expect($first['datum'][1][0] - $first['datum'][0][0])->toBeClose(M_PI * 101.6, 0, 0.02)
        ->and($first['datum'][0][0])->toBeGreaterThan(12.0)
        ->and($second['datum'][1][0])->toBeLessThan($paper->sidesMm()[0] - 12.0);
})->with(['A4' => [Paper::A4, 210.0 - 24.0 - 10.0], 'Letter' => [Paper::Letter, 215.9 - 24.0 - 10.0]]);

it('has the hole of a saddle closed in the middle of the sheet of the main', function () {
    $template = templateOf(SomeMerges::shipped('16-saddle-60-offset'), 'main');
    assert($template instanceof WrapTemplate);
    [$cut, $index] = $template->strokes;
    expect($cut->isClosed)->toBeTrue()->and($index->points[0][0])->toBe(0.0);
    foreach (SomeMerges::shipped('16-saddle-60-offset', 'answers/')['hole'] as ['phi' => $phi, 'z' => $z]) {
        $x = M_PI * 101.6 * $phi / 360;
        expect(min(array_map(static fn (array $one): float => hypot($one[0] - $x, $one[1] - $z), $cut->points)))->toBeLessThan(0.02);
    }
});

it('is there for every tube that can be unrolled, and says why where it cannot', function () {
    $quarters = [...SomeMerges::shipped('03-straight-4'), 'kind' => 'collector-quarters', 'blank' => 200];
    $mitre = ['format' => 'merge-problem/1', 'case' => 'm', 'kind' => 'mitre', 'tube' => ['od' => 50.8, 'wall' => 1.65], 'angle' => 20, 'length' => 80, 'psi' => []];
    expect(templateOf($quarters, 'D'))->toBeInstanceOf(WrapTemplate::class)
        ->and(templateOf(SomeMerges::shipped('16-saddle-60-offset'), 'branch'))->toBeInstanceOf(WrapTemplate::class)
        ->and(templateOf($mitre, 'tube'))->toBeInstanceOf(WrapTemplate::class)
        ->and(templateOf($quarters, 'E'))->toBe('--tube "E" is none of A, B, C, D.')
        ->and(templateOf(SomeMerges::shipped('10-bent-4-run-on'), 'A'))->toContain('a bend cannot be unrolled')
        ->and(templateOf(SomeMerges::shipped('23-piecut-check'), 'tube'))->toContain('no wrap template');
});
