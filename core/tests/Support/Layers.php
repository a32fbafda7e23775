<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

/** Holds the folders of a source tree to an order: each may name classes only of itself and of those before it. */
final class Layers
{
    /**
     * @param  list<string>  $order  folders, bottom up
     * @return list<string> what looks up: file, and what it names
     */
    public static function upwards(string $folder, string $namespace, array $order): array
    {
        $place = array_flip($order);
        $found = [];
        foreach ($order as $layer) {
            foreach (self::files("$folder/$layer") as $file) {
                preg_match_all(
                    '/\b'.preg_quote($namespace, '/').'\\\\(\w+)\\\\\w+/',
                    (string) file_get_contents($file),
                    $matches,
                );
                foreach (array_unique($matches[1]) as $other) {
                    if (($place[$other] ?? -1) > $place[$layer]) {
                        $found[] = substr($file, strlen($folder) + 1)." names $other";
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<string> every PHP file below a folder */
    public static function files(string $folder): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
