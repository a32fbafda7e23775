<?php

declare(strict_types=1);

namespace App\Workshop;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;

/** Prints what the Handover screen shows. Remote content and scripts are off; fonts are embedded. */
final readonly class RecordPdf
{
    public function __construct(private Factory $views) {}

    /** @param array<string, mixed> $job as JobView gives it */
    public function render(array $job): string
    {
        $scratch = storage_path('framework/cache');
        $options = new Options([
            'isRemoteEnabled' => false,
            'isPhpEnabled' => false,
            'defaultFont' => 'DejaVu Sans',
            'tempDir' => $scratch,
            'fontCache' => $scratch,
        ]);
        $pdf = new Dompdf($options);
        $pdf->loadHtml($this->views->make('record', ['job' => $job])->render(), 'UTF-8');
        $pdf->setPaper('a4');
        $pdf->render();

        return $pdf->output();
    }
}
