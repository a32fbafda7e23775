<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobReading;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopReader;

/** Reads the files a command was given; the only input the command line does. */
final class Files
{
    private const MOST_BYTES = 2_000_000;

    /** @throws UnusableDocument if the file cannot be read or is no job file */
    public static function job(string $file): JobReading
    {
        return JobReader::fromJson(self::text($file));
    }

    /** @throws UnusableDocument if the file cannot be read, is no shop file, or has faults */
    public static function shop(?string $file): Shop
    {
        if ($file === null) {
            return Shop::bare();
        }
        $faults = new Faults;
        $shop = ShopReader::read(json_decode(self::text($file), true, 32), $faults);
        foreach ($faults->all() as $fault) {
            throw UnusableDocument::notJson("$file, $fault->path $fault->message");
        }

        return $shop;
    }

    /** @throws UnusableDocument if the file cannot be read */
    public static function text(string $file): string
    {
        if (! is_file($file) || ! is_readable($file)) {
            throw UnusableDocument::notJson("there is no readable file $file");
        }

        // One byte more than is read, so that the reader can tell a file that is too large.
        return (string) file_get_contents($file, false, null, 0, self::MOST_BYTES + 1);
    }
}
