<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SmallWorkRequest;
use App\Models\User;
use App\Workshop\NotReleasable;
use App\Workshop\SmallWorks;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as HttpResponse;
use UpsweptBead\Core\Job\Small\SmallKind;
use UpsweptBead\Core\Job\Small\SmallPlace;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Stock\Metal;
use UpsweptBead\Core\Stage\Intake\TubeChoice;

/** A tab, a bung, a crack: from nothing to its card in a few taps, and from there to the bench. */
final readonly class SmallWorkController
{
    /** What is asked for most. */
    private const METALS = ['304L', '321', '409', 'mild'];

    public function __construct(private SmallWorks $works, private Workshop $workshop) {}

    public function index(): Response
    {
        $shop = $this->workshop->shopWithAll();

        return Inertia::render('small/small', [
            'shop' => $shop->name,
            'kinds' => array_map(
                static fn (SmallKind $one): array => self::choice($one->value, $one->label(), true),
                SmallKind::cases(),
            ),
            'places' => array_map(
                static fn (SmallPlace $one): array => self::choice($one->value, $one->label(), true),
                SmallPlace::cases(),
            ),
            'roots' => array_map(
                static fn (RootPractice $one): array => [
                    ...self::choice($one->value, $one->label(), true), 'why' => $one->why(),
                ],
                RootPractice::cases(),
            ),
            'root' => $shop->practices->root->value,
            'metals' => array_map(
                static fn (Metal $one): array => self::choice($one->id, $one->name, in_array($one->id, self::METALS, true)),
                array_values($shop->catalogue->metals),
            ),
            'tubes' => array_map(
                static fn (TubeChoice $one): array => self::choice($one->tube->id, $one->tube->name, $one->onShelf > 0),
                TubeChoice::all($shop),
            ),
        ]);
    }

    /** @return array{id: string, name: string, usual: bool} */
    private static function choice(string $id, string $name, bool $isUsual): array
    {
        return ['id' => $id, 'name' => $name, 'usual' => $isUsual];
    }

    public function card(SmallWorkRequest $request): JsonResponse
    {
        return new JsonResponse($this->works->card($request->work($this->workshop), $request->units()));
    }

    public function store(SmallWorkRequest $request): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        try {
            $job = $this->works->begin($request->work($this->workshop), $request->units(), $user);
        } catch (NotReleasable $problems) {
            throw ValidationException::withMessages($problems->messages());
        }

        return new JsonResponse(['id' => $job->id], HttpResponse::HTTP_CREATED);
    }
}
