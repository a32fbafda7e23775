<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

/** Where a joint lies, which decides how little oxygen its purge may hold. */
enum PurgeCare
{
    case Upstream;
    case Downstream;
    /** Of a repair nobody says. */
    case Unknown;
    /** Of a collector made by itself nobody says either. */
    case Unsaid;

    public function label(): string
    {
        return match ($this) {
            self::Upstream => 'upstream of a turbine',
            self::Downstream => 'downstream of turbine or engine',
            self::Unknown, self::Unsaid => 'nobody says',
        };
    }

    /**
     * What is asked where least is.
     *
     * @param  list<self>  $cares
     */
    public static function easiest(array $cares): self
    {
        foreach ([self::Downstream, self::Unsaid, self::Unknown] as $one) {
            if (in_array($one, $cares, true)) {
                return $one;
            }
        }

        return $cares === [] ? self::Downstream : self::Upstream;
    }

    /** The shop rule that says how little oxygen it may hold. */
    public function rule(): string
    {
        return match ($this) {
            self::Upstream, self::Unknown => 'purge.target_hot',
            self::Downstream, self::Unsaid => 'purge.target',
        };
    }
}
