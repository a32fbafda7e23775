<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

/**
 * Holds the folders of a source tree to an order, on two floors: each may name classes only of itself and of those
 * before it.
 */
final class Layers
{
    /**
     * @param  list<string>  $order  folders, bottom up; "Room/Folder" where a room is held to an order of its own
     * @return list<string> what looks up: file, and what it names
     */
    public static function upwards(string $folder, string $namespace, array $order): array
    {
        $place = array_flip($order);
        $found = [];
        foreach ($order as $layer) {
            foreach (self::files("$folder/$layer") as $file) {
                foreach (self::layers((string) file_get_contents($file), $namespace) as $other) {
                    if (($place[$other] ?? -1) > $place[$layer]) {
                        $found[] = substr($file, strlen($folder) + 1)." names $other";
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<string> the folders of both floors below a namespace that a file names something of, or as a whole */
    public static function layers(string $code, string $namespace): array
    {
        $found = [];
        foreach (NamesUsed::in($code) as $name) {
            if (str_starts_with($name, "$namespace\\")) {
                [$room, $folder] = [...explode('\\', substr($name, strlen($namespace) + 1), 3), ''];
                $found[$room] = true;
                $found["$room/$folder"] = true;
            }
        }

        return array_keys($found);
    }

    /**
     * @return list<string> what reaches into a folder called Internal from outside of the one it lies in: file, and what it names
     */
    public static function reachedInto(string $folder, string $namespace): array
    {
        $found = [];
        foreach (self::files($folder) as $file) {
            $place = str_replace('/', '\\', substr($file, strlen($folder) + 1));
            foreach (NamesUsed::in((string) file_get_contents($file)) as $name) {
                [$room, $inside] = [...explode('\\Internal\\', "$name\\", 2), null];
                $isOutside = $inside !== null && ! str_starts_with("$namespace\\$place", "$room\\");
                if ($isOutside) {
                    $found[] = substr($file, strlen($folder) + 1)." names $name";
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
