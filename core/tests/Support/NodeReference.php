<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

/**
 * Asks an independent library for its own answer: of the repository's node_modules by Node.js, or of Debian's Python.
 */
final class NodeReference
{
    /**
     * Node.js 20 may stand still for ever where its threads compile WebAssembly side by side: all of them wait for one
     * another. One thread cannot; and nothing here takes longer than a few seconds.
     */
    private const NODE = ['/usr/bin/timeout', '-k', '1', '60', 'node', '--single-threaded'];

    private const PYTHON = ['/usr/bin/timeout', '-k', '1', '60', '/usr/bin/python3'];

    /** @return array<mixed> */
    public static function ask(string $script, mixed $question): array
    {
        $process = proc_open(
            [...str_ends_with($script, '.py') ? self::PYTHON : self::NODE, dirname(__DIR__)."/reference/$script"],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            dirname(__DIR__, 3),
        );
        if ($process === false) {
            throw new \RuntimeException("What runs $script did not start.");
        }
        fwrite($pipes[0], json_encode($question, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        [$answer, $errors] = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];
        if (proc_close($process) !== 0) {
            throw new \RuntimeException("$script failed: $errors");
        }
        $decoded = json_decode((string) $answer, true, 512, JSON_THROW_ON_ERROR);

        return is_array($decoded) ? $decoded : [];
    }
}
