<?php

declare(strict_types=1);

use App\Models\Role;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** A connection beside that of the test, whose changes are seen by others at once. */
function aside(): Connection
{
    config(['database.connections.aside' => config('database.connections.'.config('database.default'))]);

    return DB::connection('aside');
}

/**
 * Several processes take from one item at the same moment, each for a job of its own.
 *
 * @return array{list<string>, float} what each was told, and how much is left
 */
function takeAtOnce(int $takers, float $onHand, float $each): array
{
    $db = aside();
    $name = 'taker-'.bin2hex(random_bytes(4));
    $user = $db->table('users')->insertGetId(['name' => 'Ismet', 'email' => "$name@tidewater.invalid", 'password' => '', 'role' => Role::Fabricator->value]);
    $item = $db->table('store_items')->insertGetId(['key' => $name, 'kind' => 'bend', 'name' => 'the bend', 'stock_id' => $name]);
    $db->table('store_entries')->insert(['id' => DB::raw('gen_random_uuid()'), 'item_id' => $item, 'kind' => 'received', 'quantity' => $onHand, 'user_id' => $user]);
    $jobs = [];
    for ($i = 0; $i < $takers; $i++) {
        $jobs[] = $db->table('jobs')->insertGetId(['number' => "$name-$i", 'title' => 'x']);
    }
    try {
        // Long enough for all of them to be ready.
        $at = (string) (microtime(true) + 2.5);
        $all = array_map(static function (int $job) use ($item, $user, $at, $each): Process {
            $one = new Process([PHP_BINARY, 'tests/Support/take.php', (string) $item, (string) $job, (string) $user, $at, (string) $each], base_path(), timeout: 60);
            $one->start();

            return $one;
        }, $jobs);
        $said = array_map(static function (Process $one): string {
            $one->wait();

            return trim($one->getOutput().$one->getErrorOutput());
        }, $all);

        return [$said, (float) $db->table('store_items')->where('id', $item)->value('on_hand')];
    } finally {
        $db->statement('alter table store_entries disable trigger store_entries_keep');
        $db->table('store_entries')->where('item_id', $item)->delete();
        $db->statement('alter table store_entries enable trigger store_entries_keep');
        $db->table('store_items')->where('id', $item)->delete();
        $db->table('jobs')->whereIn('id', $jobs)->delete();
        $db->table('users')->where('id', $user)->delete();
        DB::purge('aside');
    }
}

it('gives the last bend to one of two, and tells the other who has it', function () {
    [$said, $left] = takeAtOnce(2, 1.0, 1.0);
    sort($said);
    expect($left)->toBe(0.0)
        ->and($said[1])->toBe('got it')
        ->and($said[0])->toContain('none of the bend left by its count: Ismet took the last for taker-');
});

it('never gives out more than there is, however many ask at once', function () {
    [$said, $left] = takeAtOnce(6, 3.0, 1.0);
    expect(count(array_keys($said, 'got it', true)))->toBe(3)->and($left)->toBe(0.0);
});
