<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Internal;

use UpsweptBead\Core\Fit\BuildOrder;
use UpsweptBead\Core\Fit\IndexMark;
use UpsweptBead\Core\Fit\TackPattern;
use UpsweptBead\Core\Purge\Purge;
use UpsweptBead\Core\Purge\PurgePose;
use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Reason\Input;
use UpsweptBead\Core\Reason\Overrides;
use UpsweptBead\Core\Reason\Reason;
use UpsweptBead\Core\Reason\Source;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Weld\Amperage;
use UpsweptBead\Core\Weld\Cooling;
use UpsweptBead\Core\Weld\Filler;
use UpsweptBead\Core\Weld\Heat;
use UpsweptBead\Core\Weld\Joint;
use UpsweptBead\Core\Weld\JointSheet;
use UpsweptBead\Core\Weld\Metal;
use UpsweptBead\Core\Weld\Torch;

/** Fills in the weld and purge sheet of every joint of a run. */
final readonly class Sheets
{
    public function __construct(
        private TubeRun $run,
        private TubeSize $tube,
        private Metal $metal,
        private bool $upstreamOfTurbine,
        private ShopRules $rules,
        private Overrides $overrides,
    ) {}

    /**
     * @param  list<Joint>  $joints  in the order of flow
     * @return list<JointSheet> in the order they are welded
     */
    public function of(array $joints): array
    {
        $pose = PurgePose::of($this->run, $this->tube->idMm());
        $sheets = [];
        foreach (BuildOrder::welding($joints) as $i => $step) {
            $number = (int) array_search($step['joint'], $joints, true);
            $sheets[] = $this->sheet($step['joint'], $i + 1, $step['why'], IndexMark::forJoint($number + 1), $pose);
        }

        return $sheets;
    }

    private function sheet(Joint $joint, int $order, string $why, IndexMark $index, PurgePose $pose): JointSheet
    {
        $id = $joint->id;
        $amps = $this->overrides->on(Amperage::figure($joint, $this->rules));
        $pedal = $this->overrides->on(Amperage::pedal($amps, $id));
        $cup = $this->overrides->on(Torch::cup($this->rules, $id));
        $flow = $this->overrides->on(Torch::flow($cup, $id));
        $postflow = $this->overrides->on(Torch::postflow($amps, $this->rules, $id));
        $travel = $this->overrides->on($this->travel($id));
        $arc = $this->arc($joint, $travel);
        $stops = (int) ceil($joint->seamMm / $this->rules->value('weld.run_length'));
        $heat = $this->heat($joint, $amps, $travel);
        $welding = $arc->value + $stops * $postflow->value;
        $cooling = new Cooling($this->metal, $this->tube->metalAreaMm2(), $this->tube->wallMm, $this->rules->value('cool.ambient'));
        $heatJ = $heat->value * 1000 * $joint->seamMm;
        $volumeL = $this->tube->boreAreaMm2() * $this->run->lengthMm() * 1e-6;
        $keep = $cooling->secondsTo($this->rules->value('purge.keep_until'), $heatJ);

        $filler = $this->overrides->onChoice(Filler::alloy($joint));
        $wire = $filler->value === Filler::NONE ? [] : ['wire' => $this->overrides->on(Filler::size($joint))];

        return new JointSheet($joint, $order, $why, $index, TackPattern::forTube($joint->odMm, $joint->wallMm), [
            'filler' => $filler,
            'tungsten' => $this->overrides->onChoice(Torch::tungsten($pedal, $id)),
        ], [
            'amps' => $amps,
            'pedal' => $pedal,
            ...$wire,
            'cup' => $cup,
            'flow' => $flow,
            'preflow' => $this->overrides->on($this->fromRule("weld.$id.preflow", 'Pre-flow', 'weld.preflow', 'Air is driven out of the cup before the arc starts.')),
            'postflow' => $postflow,
            'travel' => $travel,
            'heat' => $heat,
            'arc' => $arc,
            'cool' => $this->overrides->on($this->cool($id, $cooling->secondsTo($this->rules->value('cool.touch'), $heatJ), $heatJ)),
            'torchArgon' => $this->torchArgon($id, $flow, $arc, $postflow, $stops),
        ], [
            Amperage::onDial($amps->value * (1 - Amperage::WORKING_SPREAD)),
            Amperage::onDial($amps->value * (1 + Amperage::WORKING_SPREAD)),
        ], Purge::plan($id, $volumeL, $welding + $keep, $this->upstreamOfTurbine, $pose, $this->rules, $this->overrides), $this->warnings($cup, $flow, $pedal));
    }

    private function travel(string $id): Figure
    {
        return $this->fromRule("weld.$id.travel", 'Travel', 'weld.travel', 'Short runs of about an inch, ten to twelve dabs, then stop and hold the post-flow: the colour stays in the shielded zone.');
    }

    private function arc(Joint $joint, Figure $travel): Figure
    {
        return Figure::of("weld.$joint->id.arc", 'Arc time', Quantity::Duration, 60 * $joint->seamMm / $travel->value, new Reason(
            'Length of the seam over the travel speed.',
            [Input::of('Seam', Quantity::Length, $joint->seamMm), Input::of('Travel', Quantity::Travel, $travel->value)],
            Source::geometry(),
            'The shop’s logged arc times.',
        ));
    }

    private function heat(Joint $joint, Figure $amps, Figure $travel): Figure
    {
        return Figure::of("weld.$joint->id.heat", 'Heat input', Quantity::Heat, Heat::inputKjMm($amps->value, $travel->value), new Reason(
            'k·U·I/(1000·v) with k = 0.6 for TIG and U = 10 + 0.04·I.',
            [Input::of('Amps', Quantity::Current, $amps->value), Input::word('Arc volts', sprintf('%.1f V', Heat::arcVolts($amps->value))), Input::of('Travel', Quantity::Travel, $travel->value)],
            Source::published('EN 1011-1; IEC 60974-1'),
            'Chill bars and clamped rings take heat away that this sum does not see.',
        ));
    }

    private function cool(string $id, float $seconds, float $heatJ): Figure
    {
        $touch = $this->rules->get('cool.touch');

        return Figure::of("weld.$id.cool", 'Cool for about', Quantity::Duration, $seconds, new Reason(
            'The seam’s heat spreads along the tube and leaves to still air; until a bare hand can rest on it: best colour, least pull.',
            [Input::word('Heat in', sprintf('%.0f kJ', $heatJ / 1000)), Input::of('Wall', Quantity::Wall, $this->tube->wallMm), $touch->asInput()],
            Source::memory('Carslaw & Jaeger, Conduction of Heat in Solids'),
            'A heat sink, a fan, or the shop’s logged temperatures. Below 175 °C is the code-type limit.',
        ));
    }

    private function torchArgon(string $id, Figure $flow, Figure $arc, Figure $postflow, int $stops): Figure
    {
        return Figure::of("weld.$id.torchArgon", 'Torch argon', Quantity::Volume, $flow->value / 60 * ($arc->value + $stops * $postflow->value), new Reason(
            'Torch flow for the arc time, and for the post-flow after every short run.',
            [Input::of('Torch argon', Quantity::Flow, $flow->value), Input::of('Arc time', Quantity::Duration, $arc->value), Input::of('Stops', Quantity::Count, $stops), Input::of('Post-flow', Quantity::Duration, $postflow->value)],
            Source::geometry(),
        ));
    }

    private function fromRule(string $key, string $label, string $rule, string $why): Figure
    {
        $rule = $this->rules->get($rule);

        return Figure::of($key, $label, $rule->quantity, $rule->value, new Reason($why, [$rule->asInput()], $rule->source));
    }

    /** @return list<string> */
    private function warnings(Figure $cup, Figure $flow, Figure $pedal): array
    {
        $warnings = [];
        if (Torch::reynolds($flow->value, Torch::boreMm($cup->value)) > Torch::TURBULENT_RE) {
            $warnings[] = 'This much gas through this cup stirs air in: less flow or a larger cup.';
        }
        if ($pedal->value > 150) {
            $warnings[] = 'More than a 1/16 in tungsten carries.';
        }

        return $warnings;
    }
}
