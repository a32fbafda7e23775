<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\Exception\UnusableStl;
use UpsweptBead\Core\Exchange\Files\StlReader;
use UpsweptBead\Core\Exchange\Files\StlUp;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeMeshes;

$box = SomeMeshes::box([40.0, 25.0, 30.0]);

it('reads the same triangles from a binary file and from text', function () use ($box) {
    expect(StlReader::read(SomeMeshes::binaryStl($box), 1.0, StlUp::Z))->toBe($box)
        ->and(StlReader::read(SomeMeshes::textStl($box), 1.0, StlUp::Z))->toBe($box);
});

it('takes the unit and the upright axis it is told, and never mirrors', function () use ($box) {
    $inches = StlReader::read(SomeMeshes::binaryStl($box), 25.4, StlUp::Z);
    $turned = StlReader::read(SomeMeshes::binaryStl($box), 1.0, StlUp::Y);
    expect(max($inches))->toBeClose(40 * 25.4)
        ->and(array_slice($turned, 0, 3))->toBe([$box[2], $box[0], $box[1]]);
    foreach (StlUp::cases() as $up) {
        [$a, $b, $c] = [$up->turned(1, 0, 0), $up->turned(0, 1, 0), $up->turned(0, 0, 1)];
        $volume =
            $a[0] * ($b[1] * $c[2] - $b[2] * $c[1]) -
            $a[1] * ($b[0] * $c[2] - $b[2] * $c[0]) +
            $a[2] * ($b[0] * $c[1] - $b[1] * $c[0]);
        expect($volume)->toBe(1.0);
    }
});

it('leaves out triangles without area', function () use ($box) {
    expect(StlReader::read(SomeMeshes::binaryStl([...$box, ...array_fill(0, 9, 5.0)]), 1.0, StlUp::Z))->toHaveCount(
        count($box),
    );
});

it('says what is wrong with a file it cannot use', function (string $bytes, string $why) {
    expect(fn () => StlReader::read($bytes, 1.0, StlUp::Z))->toThrow(UnusableStl::class, $why);
})->with(function () use ($box) {
    $binary = SomeMeshes::binaryStl($box);
    $text = SomeMeshes::textStl($box);
    yield 'nothing' => ['', '0 bytes'];
    yield 'a picture' => ["\x89PNG\r\n\x1a\n".str_repeat("\xff", 400), 'triangles'];
    yield 'cut short' => [substr($binary, 0, -20), 'ends after 11: it is cut short'];
    yield 'a count without end' => [
        substr_replace($binary, pack('V', 4_000_000_000), 80, 4),
        '4,000,000,000 triangles; at most 100,000',
    ];
    yield 'a count of none' => [substr_replace($binary, pack('V', 0), 80, 4), 'no triangle with an area'];
    yield 'a corner at infinity' => [
        SomeMeshes::binaryStl([INF, ...array_slice($box, 1)]),
        'Triangle 1 has a corner that is no finite number',
    ];
    yield 'not a number' => [
        SomeMeshes::binaryStl([...array_slice($box, 0, 9), NAN, ...array_slice($box, 10)]),
        'Triangle 2',
    ];
    yield 'flat triangles only' => [SomeMeshes::binaryStl(array_fill(0, 18, 3.0)), 'no triangle with an area'];
    yield 'text cut short' => [substr($text, 0, intdiv(strlen($text), 2)), 'breaks off'];
    yield 'text with a word for a number' => [str_replace('2.500000e+1 ', 'NaN ', $text), 'readable numbers'];
    yield 'far too large' => [
        SomeMeshes::binaryStl(array_map(static fn (float $x): float => 1e6 * $x, $box)),
        'Is the unit right?',
    ];
    yield 'one corner far out' => [
        SomeMeshes::binaryStl([...array_slice($box, 0, 9), 3.3e38, 3.3e38, 3.3e38, ...array_slice($box, 12)]),
        'triangle 2 reaches to 3.3e+38 mm',
    ];
    yield 'far too small' => [
        SomeMeshes::binaryStl(array_map(static fn (float $x): float => $x / 1e4, $box)),
        'Is the unit right?',
    ];
    yield 'too many bytes' => [str_repeat('x', StlReader::MOST_BYTES + 1), 'at most 20 MB'];
});

it('takes damage of any kind with an answer or a refusal, never worse', function () use ($box) {
    $dice = Some::dice(11);
    foreach ([SomeMeshes::binaryStl($box), SomeMeshes::textStl($box)] as $whole) {
        for ($i = 0; $i < 300; $i++) {
            $bytes = $whole;
            for ($k = 0; $k < $dice->getInt(1, 6); $k++) {
                $bytes = substr_replace(
                    $bytes,
                    chr($dice->getInt(0, 255)),
                    $dice->getInt(0, strlen($bytes) - 1),
                    $dice->getInt(0, 3),
                );
            }
            try {
                expect(count(StlReader::read($bytes, 1.0, StlUp::Z)) % 9)->toBe(0);
            } catch (UnusableStl $error) {
                expect($error->getMessage())->not->toBe('');
            }
        }
    }
});
