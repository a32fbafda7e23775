<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;

/** All collectors of a job that are built here or bought. */
final readonly class Collectors
{
    /**
     * @param  list<BuiltCollector>  $all
     * @param  array<string, string>  $lacks  what is wrong with those that are not among them, by their place
     */
    private function __construct(public array $all, public array $lacks) {}

    public static function of(Job $job, Shop $shop): self
    {
        $all = $lacks = [];
        foreach ($job->set->collectors as $i => $spec) {
            if ($spec->build === null) {
                continue;
            }
            $path = "set.collectors[$i].build";
            try {
                $all[] = BuiltCollector::of($spec, $spec->build, $path, $job, $shop);
            } catch (UnknownStock $error) {
                $lacks["$path.tube"] = $error->getMessage();
            }
        }

        return new self($all, $lacks);
    }

    public function find(string $letter): ?BuiltCollector
    {
        foreach ($this->all as $one) {
            if ($one->build->letter === $letter) {
                return $one;
            }
        }

        return null;
    }
}
