<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Gas\Filling;

/** The purge of one joint: its target, how long to fill, through what vent, and what it takes. */
final readonly class PurgePlanner
{
    private string $key;

    /**
     * @param  float  $volumeL  what is enclosed
     * @param  float  $weldSeconds  welding with its stops
     * @param  float  $keepSeconds  cooling until the root may see air
     * @param  string  $since  the joint it was filled for and has stayed closed since; '' where it is filled from air
     */
    public function __construct(
        string $jointId,
        private float $volumeL,
        private float $weldSeconds,
        private float $keepSeconds,
        private PurgeCare $care,
        private ShopRules $rules,
        private Overrides $overrides,
        private string $since = '',
    ) {
        $this->key = "purge.$jointId";
    }

    public function plan(PurgePose $pose): JointPurge
    {
        $target = $this->overrides->on($this->target());
        $changes = $this->changes($target);
        $flow = $this->overrides->on($this->flow());
        $fill = $this->overrides->on($this->fill($changes, $flow));
        $hold = $this->overrides->on($this->hold());

        return new JointPurge(
            [
                'target' => $target,
                'volume' => $this->volume(),
                'changes' => $changes,
                'flow' => $flow,
                'fill' => $fill,
                'vent' => $this->vent($flow),
                'hold' => $hold,
                'keep' => $this->keep(),
                'argon' => $this->argon($flow, $fill, $hold),
            ],
            $pose,
            $this->since,
        );
    }

    private function target(): Figure
    {
        $rule = $this->rules->get($this->care->rule());
        $stop = number_format($this->rules->value('purge.stop'));

        return $this->figure('target', 'Oxygen at most', Quantity::Oxygen, $rule->value, new Reason(
            match ($this->care) {
                PurgeCare::Upstream => 'Upstream of a turbine: a crumb of burnt root would be swallowed.',
                PurgeCare::Unknown => 'A repair may lie upstream of a turbine: as careful as there, unless it is known not to.',
                PurgeCare::Downstream => 'No turbine ahead: the shop’s general target.',
                PurgeCare::Unsaid => 'No turbine is named ahead of it: the shop’s general target. Say so if one follows.',
            },
            [$rule->asInput()],
            $rule->source,
            "What lies ahead, or a written procedure. Above $stop ppm stop welding.",
        ));
    }

    private function changes(Figure $target): Figure
    {
        if ($this->since !== '') {
            return $this->rinse($target);
        }
        $changes = Filling::changes($target->value);

        return $this->figure('changes', 'Air changes', Quantity::Ratio, $changes, new Reason(
            'Well mixed, oxygen falls as 209 500·e^(−n) ppm after n air changes, so n = ln(209 500/target). Filling from below does better; dead ends do worse.',
            [Input::of('Oxygen at most', Quantity::Oxygen, $target->value)],
            Source::published('ideal mixing'),
        ));
    }

    /** What crept in since it was filled is taken to be as much as welding is stopped at. */
    private function rinse(Figure $target): Figure
    {
        $stop = $this->rules->get('purge.stop');
        $changes = max(0.0, log($stop->value / $target->value));

        return $this->figure('changes', 'Air changes', Quantity::Ratio, $changes, new Reason(
            "It has stayed closed and filled since $this->since: only what crept in is rinsed out, n = ln(what crept in/target).",
            [Input::of('Oxygen at most', Quantity::Oxygen, $target->value), $stop->asInput()],
            Source::trade(),
            'Opened meanwhile it is filled from air again. The meter decides.',
        ));
    }

    private function flow(): Figure
    {
        $rule = $this->rules->get('purge.flow');

        return $this->figure('flow', 'Fill flow', Quantity::Flow, $rule->value, new Reason(
            'The shop’s fill flow; 10–20 CFH is usual.',
            [$rule->asInput()],
            $rule->source,
        ));
    }

    private function volume(): Figure
    {
        return $this->figure('volume', 'Enclosed', Quantity::Volume, $this->volumeL, new Reason(
            'The bore of what is closed in by the dams.',
            [],
            Source::geometry(),
            'Moving the dams closer to the joint.',
        ));
    }

    private function fill(Figure $changes, Figure $flow): Figure
    {
        $seconds = Filling::fillSeconds($this->volumeL, $changes->value, $flow->value);

        return $this->figure('fill', 'Purge for', Quantity::Duration, $seconds, new Reason(
            'Air changes × enclosed volume ÷ flow. Only a hint without an oxygen meter: wait for the reading.',
            [
                Input::of('Air changes', Quantity::Ratio, $changes->value),
                Input::of('Enclosed', Quantity::Volume, $this->volumeL),
                Input::of('Fill flow', Quantity::Flow, $flow->value),
            ],
            Source::geometry(),
            'More flow, a smaller dammed volume, or a meter that reads below the target sooner.',
        ));
    }

    private function hold(): Figure
    {
        $rule = $this->rules->get('purge.hold_flow');

        return $this->figure('hold', 'Weld purge flow', Quantity::Flow, $rule->value, new Reason(
            'Turned down before the arc, and before the last tie-in above all, so that pressure does not blow the puddle out.',
            [$rule->asInput()],
            $rule->source,
        ));
    }

    private function keep(): Figure
    {
        $rule = $this->rules->get('purge.keep_until');

        return $this->figure('keep', 'Post-purge', Quantity::Duration, $this->keepSeconds, new Reason(
            'Until the root has cooled so far that air does not colour it any more; never shorter than the torch’s post-flow.',
            [$rule->asInput()],
            $rule->source,
            'The shop’s limit, and what the seam takes to cool.',
        ));
    }

    private function vent(Figure $flow): Figure
    {
        $pressurePa = $this->rules->value('purge.vent_pressure');
        $vent = Filling::ventMm($flow->value, $pressurePa);

        return $this->figure('vent', 'Vent hole, at least', Quantity::Length, $vent, new Reason(
            "Wide enough that the flow holds back no more than $pressurePa Pa: Δp = ½ρ(Q/(0.61·A))².",
            [Input::of('Fill flow', Quantity::Flow, $flow->value)],
            Source::published('orifice equation, discharge coefficient 0.61'),
            'Less flow.',
        ));
    }

    private function argon(Figure $flow, Figure $fill, Figure $hold): Figure
    {
        // Flows are in litres a minute, times in seconds.
        $litres = $this->rules->value('purge.used')
            * ($flow->value * $fill->value + $hold->value * ($this->weldSeconds + $this->keepSeconds)) / 60;

        return $this->figure('argon', 'Purge argon', Quantity::Volume, $litres, new Reason(
            'Fill flow for the purge, then the weld purge flow until the root has cooled.',
            [
                Input::of('Fill', Quantity::Duration, $fill->value),
                Input::of('Hold', Quantity::Duration, $this->weldSeconds + $this->keepSeconds),
                $this->rules->get('purge.keep_until')->asInput(),
                $this->rules->get('purge.used')->asInput(),
            ],
            Source::geometry(),
        ));
    }

    private function figure(string $name, string $label, Quantity $quantity, float $value, Reason $why): Figure
    {
        return Figure::of("$this->key.$name", $label, $quantity, $value, $why);
    }
}
