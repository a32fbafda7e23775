<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Models\Job;
use App\Models\StoreItem;
use App\Print\Pdf;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Account\Quote\RoughQuote;
use UpsweptBead\Core\Exchange\Screens\IntakeScreen;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Intake\AtTheVehicle;
use UpsweptBead\Core\Stage\Intake\FirstLayout;
use UpsweptBead\Core\Stage\Intake\StartingPoint;

/** What a job is asked when it comes in. A document goes in, answers or a changed one come out; nothing is saved here. */
final readonly class IntakeController
{
    public function __construct(private Workshop $workshop) {}

    public function show(ChangeRequest $request): JsonResponse
    {
        $shop = $this->workshop->shopWithAll();

        return new JsonResponse(IntakeScreen::toArray(StartingPoint::of($request->document(), $shop), $shop));
    }

    /** A first quote: it plans the job three or four times. */
    public function quote(ChangeRequest $request): JsonResponse
    {
        $shop = $this->workshop->shopWithAll();
        $start = StartingPoint::of($request->document(), $shop);
        $rough = RoughQuote::of($start, $shop, StoreItem::costs());

        return new JsonResponse(['quote' => $rough === null ? null : IntakeScreen::quote($rough, $start)]);
    }

    /** The job with its runs laid out by the answers. */
    public function layout(ChangeRequest $request): JsonResponse
    {
        $laid = FirstLayout::of(StartingPoint::of($request->document(), $this->workshop->shopWithAll()))
            ?? throw ValidationException::withMessages([
                'document' => 'Choose a tube of the catalogue first; a repair is entered at Small work, or at Survey.',
            ]);

        return new JsonResponse(['document' => JobWriter::toArray($laid)]);
    }

    /** What to measure at the vehicle and what to take along, to tick off. */
    public function pdf(Job $job, Pdf $pdf): Response
    {
        $document = $this->workshop->read($job->load('revisions')->current());

        return $pdf->show('at-the-vehicle', [
            'number' => $job->number,
            'title' => $job->title,
            'vehicle' => $document->vehicle,
            'list' => AtTheVehicle::of(StartingPoint::of($document, $this->workshop->shopWithAll())),
        ], preg_replace('/[^A-Za-z0-9._-]+/', '-', $job->number).'-at-the-vehicle.pdf');
    }
}
