<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Part;

use UpsweptBead\Core\Base\Units\Length;

/** A bought or customer's part at the end of a run, with what was measured of it when it came. */
final readonly class PartSpec
{
    /**
     * @param  string  $inlet  letter of the run whose end goes into it
     * @param  float  $massKg  0 where it is not known
     * @param  bool  $isOneWay  whether its louvres or core let the gas through one way only
     * @param  bool  $isAgainst  whether it lies against that
     * @param  bool|null  $isCast  null where that was not looked at
     * @param  Length|null  $bore  of its seat, as measured; null where it was not
     * @param  Length|null  $seat  depth of it
     * @param  Length|null  $wall  of its neck
     * @param  float|null  $squareDeg  by which its neck is off square
     * @param  bool  $isBrought  whether the customer brought it, so that nothing is bought
     * @param  Length|null  $length  from the end of the run that goes into it to its own far end
     * @param  Length|null  $width  outside, at its widest
     * @param  string  $outlet  letter of the run that begins behind it; '' where none does
     * @param  string  $massText  the mass as somebody wrote it; '' where it is not known
     */
    public function __construct(
        public string $name,
        public PartKind $kind,
        public string $inlet,
        public float $massKg,
        public bool $isOneWay,
        public bool $isAgainst,
        public ?bool $isCast,
        public ?Length $bore,
        public ?Length $seat,
        public ?Length $wall,
        public ?float $squareDeg,
        public bool $isBrought = false,
        public ?Length $length = null,
        public ?Length $width = null,
        public string $outlet = '',
        private string $massText = '',
    ) {}

    /** Another one like it, between other runs. */
    public function on(string $name, string $inlet, string $outlet): self
    {
        return new self(
            $name,
            $this->kind,
            $inlet,
            $this->massKg,
            $this->isOneWay,
            $this->isAgainst,
            $this->isCast,
            $this->bore,
            $this->seat,
            $this->wall,
            $this->squareDeg,
            $this->isBrought,
            $this->length,
            $this->width,
            $outlet,
            $this->massText,
        );
    }

    /** Its mass as it was written; in kg where it was a plain number. */
    public function massEntered(): string
    {
        return preg_match('/[a-z]/i', $this->massText) === 1 ? $this->massText : "$this->massKg kg";
    }
}
