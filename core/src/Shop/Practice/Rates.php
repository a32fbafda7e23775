<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** What the shop's work costs by its rules: an hour, a cut on its saw, a joint. Times in min. */
final readonly class Rates
{
    private function __construct(private ShopRules $rules, private Saw $saw) {}

    public static function of(Shop $shop): self
    {
        return new self($shop->rules, $shop->practices->saw);
    }

    /** The same shop on another saw. */
    public function on(Saw $saw): self
    {
        return new self($this->rules, $saw);
    }

    public function perMinute(): float
    {
        return $this->rules->value('cost.hour') / 60;
    }

    /** One cut with its deburring. */
    public function cutMinutes(): float
    {
        return $this->rules->value("saw.{$this->saw->value}.minutes");
    }

    /** Blades that so many cuts wear out; a blade makes one cut at least, whatever is entered. */
    public function blades(int $cuts): float
    {
        return $cuts / max(1.0, $this->rules->value("saw.{$this->saw->value}.cuts"));
    }

    public function bladePrice(): float
    {
        return $this->rules->value("saw.{$this->saw->value}.price");
    }

    /** Time, blade and dressing of one cut. */
    public function cut(): float
    {
        return $this->cutMinutes() * $this->perMinute()
            + $this->blades(1) * $this->bladePrice()
            + $this->rules->value('cost.cut');
    }

    /** One joint besides its weld: fitted, tacked all round, looked at. */
    public function jointMinutes(): float
    {
        return $this->rules->value('cost.fit_minutes')
            + $this->rules->value('time.full_tack')
            + $this->rules->value('cost.inspect_minutes');
    }

    /** One piece besides its cuts. */
    public function pieceMinutes(): float
    {
        return $this->rules->value('cost.prepare_minutes');
    }

    /** One cut of a pie-cut bend. */
    public function pieMinutes(): float
    {
        return $this->rules->value('pie.minutes');
    }

    /** The wedges of a bend, bought ready. */
    public function pieSetPrice(): float
    {
        return $this->rules->value('pie.set_price');
    }

    /** The arc round one tube, of an outside diameter in mm, at the shop's travel. */
    public function seamMinutes(float $odMm): float
    {
        return M_PI * $odMm / $this->rules->value('weld.travel');
    }
}
