<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Job\Intake\Brought;
use UpsweptBead\Core\Job\Intake\Ground;
use UpsweptBead\Core\Job\Intake\Sound;
use UpsweptBead\Core\Job\Purpose;

/** What to measure at the vehicle, and what to take along for it. Common practice. */
final readonly class AtTheVehicle
{
    /**
     * @param  list<array{what: string, how: string}>  $measure  in the order of the hand
     * @param  list<string>  $bring
     */
    private function __construct(public array $measure, public array $bring) {}

    public static function of(StartingPoint $start): self
    {
        $purpose = $start->job->purpose;
        $isMany = StartingPoint::isMany($purpose);
        $measure = match (true) {
            $purpose === Purpose::Collector => self::collector($start),
            $isMany => [...self::datum(), ...self::ports($start), ...self::target($start), ...self::around($start)],
            $purpose === Purpose::Repair => self::repair(),
            default => [...self::datum(), ...self::ends($start), ...self::around($start)],
        };

        return new self(
            [...$measure, ...self::brought($start)],
            $purpose === Purpose::Collector || $purpose === Purpose::Repair ? [
                'Calliper, tape, marker and card',
            ] : [
                'Tape, straight rod, straight-edge and string',
                'Spirit level and angle finder, or a phone held against the flange',
                'Calliper, and card to rub port and bolt holes off',
                'A stub of the tube that fits the port',
                'Marker, chalk, lamp, mirror and camera',
                'Stands for the vehicle, battery spanner, gloves',
            ],
        );
    }

    /** @return list<array{what: string, how: string}> */
    private static function datum(): array
    {
        return [self::one(
            'The datum',
            'One place that stays and can be got at, a bolt hole of the head for one. Mark it; everything is measured from there, rearward, right and up.',
        )];
    }

    /** @return list<array{what: string, how: string}> */
    private static function ports(StartingPoint $start): array
    {
        $flange = $start->intake->brings(Brought::Flanges) ? 'the flange that was brought, on the head' : 'the head';

        return [
            self::one("Ports, all $start->cylinders", 'Place of each, or of the first and the distances between: middle to middle.'),
            self::one('Which way the ports face', 'A stub in the port, the angle finder along it: how far it falls, and which way seen from above.'),
            self::one('Shape and bore of a port', "Rub it off $flange on card, with bolt holes and the stud that is longest. Measure it both ways."),
            self::one('Studs, nuts and plugs', 'How far a stud stands out, and what spanner and plug socket need to come on and off.'),
            ...$start->job->purpose === Purpose::Header
                ? [self::one('The port in the head', 'How long it is from valve to face: it counts in the length of a primary.')]
                : [],
        ];
    }

    /** @return list<array{what: string, how: string}> */
    private static function target(StartingPoint $start): array
    {
        return $start->job->purpose === Purpose::TurboManifold ? [
            self::one('Where the turbo goes', 'Set it up on blocks or stands, oil drain straight down. Measure the middle of its inlet and which way it faces.'),
            self::one('The turbine’s inlet', 'Rub the flange off on card: opening, bolts, which scroll is where. Weigh the turbo.'),
            self::one('What carries the turbo', 'A place on the block for a bracket with rod ends: the primaries hold no weight.'),
            self::one('Wastegate, oil and water', 'Where the wastegate may stand, and the lines that stay.'),
        ] : [
            self::one('Where the collector ends', 'The middle of its outlet and which way it points; what follows behind it.'),
        ];
    }

    /** @return list<array{what: string, how: string}> */
    private static function ends(StartingPoint $start): array
    {
        $isSystem = $start->job->purpose === Purpose::System;

        return [
            self::one(
                $isSystem ? 'Where it begins' : 'The turbine’s outlet',
                'Middle, which way it faces, and what it is: V-band, flange or slip, with its sizes by calliper.',
            ),
            $isSystem
                ? self::one('Where it comes out', 'Nothing, if it may end where it ends; else middle and direction of each outlet.')
                : self::one('Where it goes on to', 'Middle and direction of the pipe that is there, its outside both ways, and its metal by a magnet.'),
            ...$start->intake->sound !== null || $isSystem ? [self::one(
                'Room for a muffler',
                'Length, width and height; '.match ($start->intake->sound) {
                    Sound::Quiet => 'for quiet as large as goes in, gas into its louvres.',
                    Sound::Loud => 'for loud a short straight-through one; what the law or the class allows comes first.',
                    default => 'and which way it may lie.',
                },
            )] : [],
            ...$start->intake->hasCatalyst === true
                ? [self::one('Room for the catalyst', 'Length and width, room round it for heat, and for the sensors before and behind it.')]
                : [],
            self::one('Hangers and mounts', 'Where there are any, how far apart, and how far the engine moves.'),
        ];
    }

    /** @return list<array{what: string, how: string}> */
    private static function around(StartingPoint $start): array
    {
        return [
            self::one('What must not be touched', 'Steering shaft through its range, starter, frame, lines, plastics: two points and a diameter, three points, or four.'),
            self::one('The wheel', 'Tyre at full lock both ways, and through its travel.'),
            self::one('The ground', 'Height above it with the vehicle loaded.'),
            ...$start->intake->ground === Ground::Road
                ? [self::one('Sensors', 'Where they stand now, how long their leads are, room for body and spanner.')]
                : [],
            self::one('How it goes in', 'From above or below, with what taken off; what somebody must reach later.'),
            self::one('Photographs', 'From the front, the side, above and below, with the tape in the picture.'),
        ];
    }

    /** @return list<array{what: string, how: string}> */
    private static function collector(StartingPoint $start): array
    {
        return [
            self::one("The $start->cylinders tubes into it", 'Outside both ways and wall, by calliper; how deep they go in, or whether they butt.'),
            self::one('What follows', 'Bore, and whether by V-band, flange or slip.'),
            self::one('Between them', 'How far apart the tubes stand, and whether they come in level or leaning.'),
        ];
    }

    /** @return list<array{what: string, how: string}> */
    private static function repair(): array
    {
        return [
            self::one('What is broken', 'Where along the pipe, how long, and why: what pulls, shakes or rusts there.'),
            self::one('The metal', 'Magnet, wall by calliper at a cut, and what it was welded with.'),
            self::one('What is near it', 'Lines, plastics, undercoat and carpet: what burns; where the battery and the electronics are.'),
        ];
    }

    /** @return list<array{what: string, how: string}> */
    private static function brought(StartingPoint $start): array
    {
        $items = [];
        foreach ($start->intake->brought as $one) {
            $items[] = self::one($one->what->label().', as brought', match ($one->what) {
                Brought::Turbo => 'Weight, inlet and outlet flange, drain; try it in its place.',
                Brought::Flanges => 'Lay them on the head: do the bolts fit, are they flat, what metal.',
                Brought::Collector => 'Bore and depth of every inlet, outlet, metal by a magnet; what is only tacked.',
                Brought::Rings => 'Both halves and the clamp, bore against the tube (.060 in over is too loose for a butt), metal.',
                Brought::Tube => 'Outside both ways, wall by calliper, metal by a magnet; try a bend in the port.',
                Brought::Muffler => 'Length, width, necks, which way its louvres lie.',
                Brought::Catalyst => 'Length, width, necks, which way the gas goes, and its papers.',
                Brought::Casting => 'What it is; where it would be cut, wall there, is it clean and free of cracks.',
                Brought::Old => 'Which of its parts still fit and can stay; copy what was good.',
            });
        }

        return $items;
    }

    /** @return array{what: string, how: string} */
    private static function one(string $what, string $how): array
    {
        return ['what' => $what, 'how' => $how];
    }
}
