<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * Where everything of a survey is taken to be: places (mm), axes (length 1) and radii of bolt circles (mm).
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Estimate
{
    /**
     * @param  array<string, Triple>  $places  by name
     * @param  array<string, Triple>  $axes  by the end's name
     * @param  array<string, float>  $radii  by the reading's id
     */
    public function __construct(public array $places, public array $axes, public array $radii) {}

    /**
     * @param  list<float>  $step  by column of the unknowns
     */
    public function stepped(Unknowns $unknowns, array $step): self
    {
        [$places, $axes, $radii] = [$this->places, $this->axes, $this->radii];
        foreach ($unknowns->places as $name => $i) {
            $places[$name] = Xyz::plus($places[$name], [$step[$i], $step[$i + 1], $step[$i + 2]]);
        }
        foreach ($unknowns->axes as $name => $i) {
            [$h, $v] = Xyz::across($axes[$name]);
            $axes[$name] = Xyz::unit(Xyz::plus(Xyz::plus($axes[$name], $h, $step[$i]), $v, $step[$i + 1]));
        }
        foreach ($unknowns->radii as $id => $i) {
            $radii[$id] += $step[$i];
        }

        return new self($places, $axes, $radii);
    }

    /** @param  Triple  $at */
    public function withPlace(string $name, array $at): self
    {
        return new self([...$this->places, $name => $at], $this->axes, $this->radii);
    }

    /** @param  Triple  $axis */
    public function withAxis(string $name, array $axis): self
    {
        return new self($this->places, [...$this->axes, $name => Xyz::unit($axis)], $this->radii);
    }

    /** Whether another is the same answer: no place further off than 1 mm, no axis than 1 degree. */
    public function isLike(self $other): bool
    {
        foreach ($this->places as $name => $at) {
            if (Xyz::length(Xyz::minus($at, $other->places[$name])) > 1.0) {
                return false;
            }
        }
        foreach ($this->axes as $name => $axis) {
            if (Xyz::angleDeg($axis, $other->axes[$name]) > 1.0) {
                return false;
            }
        }

        return true;
    }
}
