<?php

declare(strict_types=1);

// A small mutation trial on the rules of the trade: one operator of one line is changed in a copy of the core, the
// quick tests are run, and what no test noticed is listed. The same seed picks the same places.
//
//   php bench/mutants.php [HOW MANY = 60] [SEED = 1] [FOLDERS OF core/src …]

const FOLDERS = [
    'Solve/Run', 'Stage/Survey', 'Stage/Layout', 'Stage/Cut', 'Stage/Joint', 'Stage/Fit', 'Stage/Purge', 'Stage/Weld', 'Stage/Schedule',
    'Stage/Bench', 'Account/Ledger',
];
const TESTS = ['Account', 'Job', 'Solve/Route/Hand', 'Solve/Run', 'Stage'];
const SWAPS = [
    '+' => '-', '-' => '+', '*' => '/', '/' => '*', '<' => '>=', '>' => '<=', '<=' => '>', '>=' => '<',
    '===' => '!==', '!==' => '===', '&&' => '||', '||' => '&&', '??' => '', 'max' => 'min', 'min' => 'max', 'true' => 'false', 'false' => 'true',
];

$root = dirname(__DIR__);
$count = (int) ($argv[1] ?? 60);
$dice = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar((int) ($argv[2] ?? 1)));
$folders = array_slice($argv, 3) === [] ? FOLDERS : array_slice($argv, 3);

$copy = sys_get_temp_dir().'/bead-mutants-'.getmypid();
// Packages are linked, as nobody changes them; all else is copied, so that the tree may be worked on meanwhile.
exec(sprintf(
    'mkdir -p %1$s/core && cd %2$s && cp -a database bench docs %1$s && cd core && cp -a $(ls -A | grep -vx vendor) %1$s/core && cp -al vendor %1$s/core',
    escapeshellarg($copy),
    escapeshellarg($root),
));
symlink("$root/node_modules", "$copy/node_modules");
register_shutdown_function(static fn () => exec('rm -rf '.escapeshellarg($copy)));
if (function_exists('pcntl_async_signals')) {
    pcntl_async_signals(true);
    foreach ([SIGINT, SIGTERM] as $signal) {
        pcntl_signal($signal, static fn () => exit(130));
    }
}

$places = [];
foreach ($folders as $folder) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$copy/core/src/$folder")) as $file) {
        if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
            array_push($places, ...placesIn($file->getPathname()));
        }
    }
}
$tests = implode(' ', array_map(static fn (string $one): string => "tests/$one", array_filter(TESTS, static fn (string $one): bool => file_exists("$copy/core/tests/$one"))));
[$code] = quickTests($copy, $tests);
if ($code !== 0) {
    fwrite(STDERR, "The quick tests fail without any change; nothing can be learnt.\n");
    exit(2);
}

$killed = 0;
$survivors = [];
foreach (array_slice($dice->shuffleArray($places), 0, $count) as $i => [$file, $offset, $was, $is, $line]) {
    $source = (string) file_get_contents($file);
    unlink($file);
    file_put_contents($file, substr_replace($source, $is, $offset, strlen($was)));
    $name = substr($file, strlen("$copy/core/src/")).":$line";
    // The tests of its own folder know it best; only what they let pass is put to all of them.
    $own = 'tests/'.implode('/', array_slice(explode('/', $name), 0, 2));
    [$code, $seconds] = is_dir("$copy/core/$own") ? quickTests($copy, $own) : [0, 0.0];
    if ($code === 0) {
        [$code, $more] = quickTests($copy, $tests);
        $seconds += $more;
    }
    file_put_contents($file, $source);
    $text = trim(explode("\n", $source)[$line - 1]);
    if ($code === 0) {
        $survivors[] = "$name  $was → $is  $text";
    } else {
        $killed++;
    }
    printf("%3d  %-8s %4.1f s  %s  %s → %s\n", $i + 1, $code === 0 ? 'SURVIVED' : 'killed', $seconds, $name, $was, $is);
}
printf("\n%d of %d killed, %.0f %%\n", $killed, $killed + count($survivors), 100 * $killed / max(1, $killed + count($survivors)));
echo implode("\n", $survivors), "\n";

/** @return list<array{string, int, string, string, int}> file, offset, what stands there, what it becomes, line */
function placesIn(string $file): array
{
    $places = [];
    $offset = 0;
    $tokens = PhpToken::tokenize((string) file_get_contents($file));
    foreach ($tokens as $i => $token) {
        $swap = SWAPS[$token->text] ?? '';
        $before = meaning($tokens, $i, -1);
        $after = meaning($tokens, $i, 1);
        // A sign, a type, a default or a text is no operator; a name only counts where it is called.
        $isOperator = ! in_array($token->text, ['-', '+'], true) || $before !== null && preg_match('/[\w\])\'"]$/', $before->text) === 1 && ! in_array($before->text, ['return', 'case'], true);
        $isCall = ! in_array($token->text, ['max', 'min'], true) || $after?->text === '(' && $before?->text !== '->' && $before?->text !== '::';
        // Whether a search in a list is strict makes no difference between values of one type.
        $isStrictness = in_array($token->text, ['true', 'false'], true) && $before?->text === ',' && $after?->text === ')';
        // Of a mark in a set only its being there is asked.
        $isMark = $token->text === 'true' && $before?->text === '=' && $after?->text === ';';
        $isType = in_array($token->text, ['<', '>'], true) && $token->id !== ord($token->text);
        if ($swap !== '' && $isOperator && $isCall && ! $isType && ! $isStrictness && ! $isMark && ! in_array($token->id, [T_CONSTANT_ENCAPSED_STRING, T_COMMENT, T_DOC_COMMENT, T_INLINE_HTML], true)) {
            $places[] = [$file, $offset, $token->text, $swap, $token->line];
        }
        $offset += strlen($token->text);
    }

    return $places;
}

/** @param  list<PhpToken>  $tokens */
function meaning(array $tokens, int $from, int $step): ?PhpToken
{
    for ($i = $from + $step; isset($tokens[$i]); $i += $step) {
        if (! $tokens[$i]->isIgnorable()) {
            return $tokens[$i];
        }
    }

    return null;
}

/** @return array{int, float} exit code and seconds; a change that hangs or eats all memory counts as noticed */
function quickTests(string $copy, string $tests): array
{
    $began = microtime(true);
    exec('cd '.escapeshellarg("$copy/core")." && COLUMNS=120 timeout 300 php -d memory_limit=1G -d opcache.enable_cli=1 -d opcache.jit=1205 -d opcache.jit_buffer_size=128M vendor/bin/pest --compact --bail --exclude-group=slow $tests >/dev/null 2>&1", $output, $code);

    return [$code, microtime(true) - $began];
}
