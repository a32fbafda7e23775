<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\Rule;
use UpsweptBead\Core\Stage\Cut\EndPrep;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

/** What is put into a seam: in how many passes, and how much wire that takes. */
final readonly class Deposit
{
    /** One pass fills a wall up to this, and each further one so much more (mm); common practice, from memory. */
    private const FIRST_MM = 3.2;

    private const FURTHER_MM = 2.5;

    /** A bevel and its land (°, mm); a light bevel is a small vee, as a share of the wall squared. Our own figures. */
    private const BEVEL_DEG = 37.5;

    private const LAND_MM = 0.8;

    private const LIGHT_VEE = 0.25;

    /** The bead stands over the wall by this share of it, at most so much (mm); our own figures. */
    private const PROUD = 0.35;

    private const MOST_PROUD_MM = 1.0;

    /** A fillet is a little rounder than a flat one. */
    private const ROUNDER = 1.2;

    /** Of the wire so much ends up in the seam: stubs are thrown away. From memory. */
    private const USED = 0.9;

    private const KG_PER_MM3 = 7.93e-6;

    /** Heavy butts and fillets are filled layer by layer; seals, tabs and fused seams are run once. */
    public static function passes(Joint $joint): Figure
    {
        $wallMm = $joint->thinnerMm();
        $isOnce = $joint->type->isAutogenous() || $joint->type === JointType::Tab;
        $count = $isOnce ? 1 : 1 + max(0, (int) ceil(($wallMm - self::FIRST_MM) / self::FURTHER_MM));

        return Figure::of("weld.$joint->id.passes", 'Passes', Quantity::Count, $count, new Reason(
            $count === 1
                ? 'One pass fills a wall up to 3.2 mm.'
                : 'A root pass with the bevel open, then one for every 2.5 mm more, each cooled and brushed before the next.',
            [Input::of('Thinner wall', Quantity::Wall, $wallMm)],
            Source::memory('common practice of TIG welding'),
            'The wall, or a written procedure.',
        ));
    }

    /** Length of wire that a seam takes. */
    public static function wire(Joint $joint, Figure $wire, float $beadToWall, Rule $gap): Figure
    {
        $isOpen = $joint->type->isEdgeToEdge();
        $areaMm2 = self::areaMm2($joint, $beadToWall) + ($isOpen ? $gap->value * $joint->thinnerMm() : 0.0);
        $wireMm2 = M_PI / 4 * $wire->value ** 2;
        $lengthMm = $joint->seam->lengthMm * $areaMm2 / self::USED / $wireMm2;

        return Figure::of("weld.$joint->id.wireLength", 'Wire to cut', Quantity::Length, $lengthMm, new Reason(
            'What fills the groove and its gap and stands over it, along the seam, with a tenth for stubs.',
            [
                Input::of('Seam', Quantity::Length, $joint->seam->lengthMm),
                Input::word('Groove, gap and what stands over it', sprintf('%.1f mm²', $areaMm2)),
                ...$isOpen ? [$gap->asInput()] : [],
                Input::of('Wire', Quantity::TradeSize, $wire->value),
            ],
            Source::memory('deposited area over the area of the wire'),
            'A wider gap, a flatter bead.',
        ));
    }

    /** Mass of it (kg). */
    public static function mass(Joint $joint, Figure $length, Figure $wire): Figure
    {
        $kg = $length->value * M_PI / 4 * $wire->value ** 2 * self::KG_PER_MM3;

        return Figure::of("weld.$joint->id.wireMass", 'Its mass', Quantity::Mass, $kg, new Reason(
            'Length and area of the wire at 7.93 g/cm³.',
            [Input::of('Wire to cut', Quantity::Length, $length->value)],
            Source::geometry(),
        ));
    }

    /** What of a cross-section is wire. */
    public static function areaMm2(Joint $joint, float $beadToWall): float
    {
        $wallMm = $joint->thinnerMm();
        if ($joint->type->isFillet()) {
            return self::ROUNDER * $wallMm ** 2 / 2;
        }
        $groove = EndPrep::forButt($wallMm) === EndPrep::BevelAndLand
            ? ($wallMm - self::LAND_MM) ** 2 * tan(deg2rad(self::BEVEL_DEG))
            : self::LIGHT_VEE * $wallMm ** 2;

        return $groove + 2 / 3 * $beadToWall * $wallMm * min(self::MOST_PROUD_MM, self::PROUD * $wallMm);
    }
}
