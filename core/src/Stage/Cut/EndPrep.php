<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/** How the end of a piece is prepared before it is fitted. */
enum EndPrep: string
{
    case LightBevel = 'light-bevel';
    case BevelAndLand = 'bevel-and-land';
    case Square = 'square';
    case Template = 'template';
    case TemplateAndLand = 'template-and-land';
    case Saddle = 'saddle';
    case Slant = 'slant';

    /** Wall from which a full bevel to a land is due (mm). */
    private const HEAVY_MM = 2.0;

    /**
     * For a butt: a land of about 0.8 mm on heavy wall, a light bevel on thin, where the vee places the molten metal.
     */
    public static function forButt(float $wallMm): self
    {
        return $wallMm >= self::HEAVY_MM ? self::BevelAndLand : self::LightBevel;
    }

    /** The same along a line that a template gives. */
    public static function forTemplate(float $wallMm): self
    {
        return $wallMm >= self::HEAVY_MM ? self::TemplateAndLand : self::Template;
    }

    public function label(): string
    {
        return match ($this) {
            self::LightBevel => 'Square, light bevel',
            self::BevelAndLand => 'Bevel, land 0.8 mm',
            self::Square => 'Square',
            self::Template => 'To its template, light bevel',
            self::TemplateAndLand => 'To its template, bevel, land 0.8 mm',
            self::Saddle => 'To the saddle template',
            self::Slant => 'At an angle, to its template',
        };
    }

    /** Whether it is cut along a line round the tube that a template gives. */
    public function isToTemplate(): bool
    {
        return in_array($this, [self::Template, self::TemplateAndLand, self::Saddle, self::Slant], true);
    }
}
