<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Metal;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Fit\TackPattern;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Purge\Ahead;
use UpsweptBead\Core\Stage\Purge\JointPurge;
use UpsweptBead\Core\Stage\Purge\PurgePlanner;
use UpsweptBead\Core\Stage\Purge\PurgePose;
use UpsweptBead\Core\Stage\Purge\RootCare;

/** Fills in the weld and purge sheet of every joint. */
final readonly class Sheets
{
    private Metal $metal;

    public function __construct(
        private Job $job,
        private Overrides $overrides,
        private Shop $shop,
        private FitPlan $fit,
        private JointCooling $cooling,
        private RootCare $root,
        private CoolPractice $practice,
        private Ahead $ahead,
    ) {
        $this->metal = $shop->catalogue->metal($job->metal);
    }

    /** Whether a joint's inside is filled with argon. */
    public function isFilled(Joint $joint): bool
    {
        $care = $this->ahead->careAt($joint->run);

        return RootCare::ofJoint($joint, $this->root, $care, $this->overrides)->practice === RootPractice::Argon;
    }

    /**
     * @param  PurgePose  $pose  how what it is a joint of is filled
     * @param  Choice  $held  how it is held meanwhile
     * @param  string  $since  the joint it was filled for and has stayed closed since; '' where it is filled from air
     */
    public function sheet(Joint $joint, TubeSize $tube, PurgePose $pose, Choice $held, string $since): JointSheet
    {
        $id = $joint->id;
        [$overrides, $rules] = [$this->overrides, $this->shop->rules];
        $passes = $overrides->on(Deposit::passes($joint));
        $isOnce = $passes->value <= 1.0;
        $amps = $overrides->on(Amperage::figure($joint, $rules, $isOnce ? Pass::Only : Pass::Fill));
        $root = $isOnce ? null : $overrides->on(Amperage::figure($joint, $rules, Pass::Root));
        $pedal = $overrides->on(Amperage::pedal($amps, $id));
        $fit = $this->fit->cupFor($joint);
        $cup = $overrides->on(TorchSettings::cup($rules, $id, $fit));
        $gasCup = $this->shop->catalogue->cup($cup->value);
        $flow = $overrides->on(TorchSettings::flow($gasCup, $id, $fit));
        $postflow = $overrides->on(TorchSettings::postflow($amps, $rules, $id));
        $travel = $overrides->on($this->travel($id));
        $arc = $this->arc($joint, $travel, $passes);
        $stops = (int) ($passes->value * ceil($joint->seam->lengthMm / $rules->value('weld.run_length')));
        $heat = $this->heat($joint, $amps, $travel);
        $weldS = $rules->value('weld.pace') * ($arc->value + $stops * $postflow->value);
        $rootKjMm = $root === null ? $heat->value : Heat::inputKjMm($root->value, $travel->value);
        $heatJ = 1000 * $joint->seam->lengthMm * ($rootKjMm + ($passes->value - 1) * $heat->value);
        $backing = Backing::of($joint, $rules, $this->job->units, $overrides);
        $cooling = $this->cooling->times(
            $joint, $tube, $this->metal, $heatJ, $arc->value, $stops, $postflow->value, $backing[1] ?? Backing::Free,
        );
        // The torch stays over the end of the seam for its post-flow; the root is kept as long at least.
        $keepS = max($cooling->keepS, $postflow->value);
        $cool = $overrides->on($this->cool($id, $cooling, $heatJ, $tube));
        $filler = $overrides->onChoice(Filler::alloy($joint, $this->shop->catalogue));
        $care = $this->ahead->careAt($joint->run);
        $shield = RootCare::ofJoint($joint, $this->root, $care, $overrides);
        $isFilled = $shield->practice === RootPractice::Argon;
        $purge = $isFilled
            ? $this->purge($joint, [$pose->volumeL, $weldS, $keepS], $pose, $since)
            : $this->purge($joint, [0.0, 0.0, 0.0], $pose, '');

        return new JointSheet(
            $joint,
            $this->fit->tacks[$joint->id] ?? TackPattern::of($joint),
            [
                'filler' => $filler,
                'tungsten' => $overrides->onChoice(TorchSettings::tungsten($pedal, $id)),
                'root' => $shield->choice,
                'held' => $held,
                ...$backing === null ? [] : ['backing' => $backing[0]],
            ],
            [
                ...$root === null ? [] : ['rootAmps' => $root],
                'amps' => $amps,
                'pedal' => $pedal,
                ...in_array($filler->value, [Filler::NONE, Filler::REFUSED], true) ? [] : $this->wire($joint),
                'cup' => $cup,
                'stickOut' => $overrides->on(TorchSettings::stickOut($gasCup, $id, $fit)),
                'flow' => $flow,
                'preflow' => $overrides->on($this->preflow($id)),
                'postflow' => $postflow,
                'travel' => $travel,
                'heat' => $heat,
                'passes' => $passes,
                'stops' => $this->stops($id, $joint, $stops),
                'arc' => $arc,
                'cool' => $cool,
                'torchArgon' => $this->torchArgon($id, $flow, $arc, $postflow, $stops),
            ],
            Ranges::of($joint, $amps, $gasCup, $this->job->units),
            $purge,
            new JointTimes(
                $purge->value('fill'), $weldS, $keepS, $cool->value,
                $this->practice === CoolPractice::Touch ? $cool->value : max($cool->value, $cooling->touchS),
                $cooling->apartMm,
                $cooling->warmth,
            ),
            $shield,
            $gasCup,
            $backing[2] ?? '',
        );
    }

    /**
     * Where nothing is filled with argon, nothing is left of it to reckon.
     *
     * @param  array{float, float, float}  $takes  L enclosed, and s of welding and of keeping it on
     */
    private function purge(Joint $joint, array $takes, PurgePose $pose, string $since): JointPurge
    {
        $care = $this->ahead->careAt($joint->run);

        [$volumeL, $weldS, $keepS] = $takes;
        $purge = new PurgePlanner(
            $joint->id, $volumeL, $weldS, $keepS, $care, $this->shop->rules, $this->overrides, $since,
        );

        return $purge->plan($pose);
    }

    private function preflow(string $id): Figure
    {
        return $this->fromRule(
            "weld.$id.preflow",
            'Pre-flow',
            'weld.preflow',
            'Air is driven out of the cup before the arc starts.',
        );
    }

    private function travel(string $id): Figure
    {
        return $this->fromRule(
            "weld.$id.travel",
            'Travel',
            'weld.travel',
            'Short runs of about an inch, ten to twelve dabs, then stop and hold the post-flow: the colour stays in the shielded zone.',
        );
    }

    /** @return array<string, Figure> its size, and how much of it */
    private function wire(Joint $joint): array
    {
        $wire = $this->overrides->on(Filler::size($joint, $this->job->units));
        $length = $this->overrides->on(
            Deposit::wire(
                $joint,
                $wire,
                $this->shop->rules->value('weld.bead_to_wall'),
                $this->shop->rules->get('fit.gap_usual'),
            ),
        );

        return ['wire' => $wire, 'wireLength' => $length, 'wireMass' => Deposit::mass($joint, $length, $wire)];
    }

    private function stops(string $id, Joint $joint, int $stops): Figure
    {
        $run = $this->shop->rules->get('weld.run_length');

        return Figure::of("weld.$id.stops", 'Runs and stops', Quantity::Count, $stops, new Reason(
            'The seam in short runs, each pass of it; after every one the post-flow is held.',
            [Input::of('Seam', Quantity::Length, $joint->seam->lengthMm), $run->asInput()],
            $run->source,
            'Longer runs, where colour stays in the shielded zone.',
        ));
    }

    private function arc(Joint $joint, Figure $travel, Figure $passes): Figure
    {
        return Figure::of(
            "weld.$joint->id.arc",
            'Arc time',
            Quantity::Duration,
            ($passes->value * 60 * $joint->seam->lengthMm) / $travel->value,
            new Reason(
                'Length of the seam over the travel speed, once for each pass.',
                [
                    Input::of('Seam', Quantity::Length, $joint->seam->lengthMm),
                    Input::of('Travel', Quantity::Travel, $travel->value),
                    Input::of('Passes', Quantity::Count, $passes->value),
                ],
                Source::geometry(),
                'The shop’s logged arc times.',
            ),
        );
    }

    private function heat(Joint $joint, Figure $amps, Figure $travel): Figure
    {
        return Figure::of(
            "weld.$joint->id.heat",
            'Heat input',
            Quantity::Heat,
            Heat::inputKjMm($amps->value, $travel->value),
            new Reason(
                'k·U·I/(1000·v) with k = 0.6 for TIG and U = 10 + 0.04·I.',
                [
                    Input::of('Amps', Quantity::Current, $amps->value),
                    Input::word('Arc volts', sprintf('%.1f V', Heat::arcVolts($amps->value))),
                    Input::of('Travel', Quantity::Travel, $travel->value),
                ],
                Source::published('EN 1011-1; IEC 60974-1'),
                'Chill bars and clamped rings take heat away that this sum does not see.',
            ),
        );
    }

    private function cool(string $id, CoolTimes $times, float $heatJ, TubeSize $tube): Figure
    {
        $limit = $this->shop->rules->get($this->practice->rule());

        return Figure::of(
            "weld.$id.cool",
            'Cool for about',
            Quantity::Duration,
            $times->coolS,
            new Reason(
                'Heat runs along the tube and into what stands at its end, and leaves to the air and by radiation. Until it is this cool, measured: best colour, least pull.',
                [
                    Input::word('Heat in', sprintf('%.0f kJ', $heatJ / 1000)),
                    Input::of('Wall', Quantity::Wall, $tube->wallMm),
                    ...$times->beside === '' ? [] : [Input::word('At the seam', $times->beside)],
                    Input::of('Another seam waits for it within', Quantity::Length, $times->apartMm),
                    $this->shop->rules->get('cool.emissivity')->asInput(),
                    $limit->asInput(),
                ],
                Source::memory('Churchill & Chu 1975; Carslaw & Jaeger, Conduction of Heat in Solids'),
                'A heat sink, a fan (rule cool.fan), or the shop’s logged temperatures. Below 175 °C is the code-type limit.',
            ),
        );
    }

    private function torchArgon(string $id, Figure $flow, Figure $arc, Figure $postflow, int $stops): Figure
    {
        return Figure::of(
            "weld.$id.torchArgon",
            'Torch gas',
            Quantity::Volume,
            $this->shop->rules->value('purge.used') * $flow->value / 60 * ($arc->value + $stops * $postflow->value),
            new Reason(
                'Torch flow for the arc time, and for the post-flow after every short run.',
                [
                    Input::of('Torch gas', Quantity::Flow, $flow->value),
                    Input::of('Arc time', Quantity::Duration, $arc->value),
                    Input::of('Stops', Quantity::Count, $stops),
                    Input::of('Post-flow', Quantity::Duration, $postflow->value),
                    $this->shop->rules->get('purge.used')->asInput(),
                ],
                Source::geometry(),
            ),
        );
    }

    private function fromRule(string $key, string $label, string $rule, string $why): Figure
    {
        $rule = $this->shop->rules->get($rule);

        return Figure::of(
            $key,
            $label,
            $rule->quantity,
            $rule->value,
            new Reason($why, [$rule->asInput()], $rule->source),
        );
    }
}
