<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use App\Models\User;
use App\Workshop\Picture;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** A picture as a file: its left half red, its right half blue. */
function picture(int $wide, int $high, string $kind = 'jpeg', string $exif = ''): string
{
    $image = imagecreatetruecolor($wide, $high);
    imagefilledrectangle($image, 0, 0, intdiv($wide, 2) - 1, $high, (int) imagecolorallocate($image, 220, 20, 20));
    imagefilledrectangle($image, intdiv($wide, 2), 0, $wide, $high, (int) imagecolorallocate($image, 20, 20, 220));
    ob_start();
    match ($kind) {
        'png' => imagepng($image),
        'webp' => imagewebp($image),
        default => imagejpeg($image, null, 95),
    };
    $file = (string) ob_get_clean();

    // Behind the marker that begins a JPEG file.
    return $exif === '' ? $file : substr($file, 0, 2).$exif.substr($file, 2);
}

/** What a camera writes of how it was held, and where it was. */
function exif(int $orientation): string
{
    $tiff = "II*\0".pack('V', 8).pack('v', 1).pack('vvVvv', 0x0112, 3, 1, $orientation, 0).pack('V', 0).'SECRET-PLACE';

    return "\xFF\xE1".pack('n', strlen($tiff) + 8)."Exif\0\0".$tiff;
}

/** @return array{int, int, int} of a point of a JPEG */
function pointOf(string $jpeg, int $x, int $y): array
{
    $image = imagecreatefromstring($jpeg);
    $rgb = imagecolorat($image, $x, $y);

    return [($rgb >> 16) & 255, ($rgb >> 8) & 255, $rgb & 255];
}

it('keeps a photo no larger than a screen, and nothing in it but the picture', function () {
    $kept = Picture::of(picture(3000, 2000, 'jpeg', exif(1)));
    assert($kept instanceof Picture);
    expect([$kept->wide, $kept->high])->toBe([1600, 1067])
        ->and($kept->jpeg)->not->toContain('SECRET-PLACE')->not->toContain('Exif')
        ->and(pointOf($kept->jpeg, 100, 500)[0])->toBeGreaterThan(180)
        ->and(pointOf($kept->jpeg, 1500, 500)[2])->toBeGreaterThan(180);
});

it('turns it upright as the camera says it was held', function () {
    $kept = Picture::of(picture(800, 400, 'jpeg', exif(6)));
    assert($kept instanceof Picture);
    // Held a quarter turn: what lay on the left is on top.
    expect([$kept->wide, $kept->high])->toBe([400, 800])
        ->and(pointOf($kept->jpeg, 200, 100)[0])->toBeGreaterThan(180)
        ->and(pointOf($kept->jpeg, 200, 700)[2])->toBeGreaterThan(180);
});

it('takes what cameras and screens make, and no smaller one larger', function (string $kind) {
    $kept = Picture::of(picture(300, 200, $kind));
    expect($kept instanceof Picture ? [$kept->wide, $kept->high] : $kept)->toBe([300, 200]);
})->with(['jpeg', 'png', 'webp']);

it('says what is wrong with a file that is no photo', function (string $file, string $says) {
    expect(Picture::of($file))->toBeString()->toContain($says);
})->with([
    'text' => ['hello', 'no photo'],
    'a drawing with a script in it' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>', 'no photo'],
    'cut short' => [substr(picture(400, 300, 'png'), 0, 60), 'cut short'],
    'a bomb: it only says that it is large' => [
        "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 60000, 60000)."\x08\x02\0\0\0".pack('N', 0), 'too many',
    ],
]);

/** @param  array<string, string>  $change */
function sendPhoto(Job $job, User $by, array $change, string $file): TestResponse
{
    return test()->post("/jobs/$job->id/photos", [
        'id' => Str::uuid()->toString(),
        'by' => "$by->id",
        'step' => 'weld.AJ2',
        'file' => UploadedFile::fake()->createWithContent('x.jpg', $file),
        ...$change,
    ], ['Accept' => 'application/json']);
}

it('has a photo once that is sent twice, and none in another person’s name', function () {
    $user = $this->signIn(Role::Owner);
    $job = $this->released();
    $id = Str::uuid()->toString();
    sendPhoto($job, $user, ['id' => $id], picture(64, 48))->assertCreated()->assertJsonCount(1, 'photos');
    sendPhoto($job, $user, ['id' => $id], picture(64, 48))->assertCreated()->assertJsonCount(1, 'photos');
    sendPhoto($job, $user, ['by' => '999'], picture(64, 48))->assertUnprocessable()->assertJsonValidationErrorFor('by');
    sendPhoto($job, $user, ['id' => 'seven'], picture(64, 48))->assertUnprocessable()->assertJsonValidationErrorFor('id');
    expect(DB::table('photos')->count())->toBe(1);
});

it('keeps photos with their step, shows them, and takes them away', function () {
    $user = $this->signIn(Role::Owner);
    $job = $this->released();
    $send = fn (string $step, string $file) => sendPhoto($job, $user, ['step' => $step], $file);
    $id = $send('weld.AJ2', picture(640, 480))->assertCreated()->assertJsonPath('photos.0.step', 'weld.AJ2')->json('photos.0.id');
    $this->get("/jobs/$job->id/photos/$id")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
    $send('weld.ZZ9', picture(64, 48))->assertUnprocessable()->assertJsonValidationErrorFor('step');
    $send('weld.AJ2', 'no photo at all')->assertUnprocessable()->assertJsonValidationErrorFor('file');
    expect(DB::table('photos')->count())->toBe(1);
    $path = (string) parse_url((string) $this->postJson("/jobs/$job->id/links", ['days' => 7])->json('made'), PHP_URL_PATH);
    $this->get($path)->assertSee("$path/photos/$id", false);
    $this->get("$path/photos/$id")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
    $this->deleteJson("/jobs/$job->id/photos/$id")->assertOk()->assertJsonPath('photos', []);
    $this->get("$path/photos/$id")->assertNotFound();
});
