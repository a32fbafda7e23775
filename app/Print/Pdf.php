<?php

declare(strict_types=1);

namespace App\Print;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;
use Illuminate\Http\Response;

/** Prints a view. Remote content and scripts are off; fonts are embedded. */
final readonly class Pdf
{
    public function __construct(private Factory $views) {}

    /** A drawing as a page takes it. */
    public static function picture(string $svg): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }

    /**
     * @param  view-string  $view
     * @param  array<string, mixed>  $data
     */
    public function render(string $view, array $data): string
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
        $pdf->loadHtml($this->views->make($view, $data)->render(), 'UTF-8');
        $pdf->setPaper('a4');
        $pdf->render();

        return $pdf->output();
    }

    /**
     * @param  view-string  $view
     * @param  array<string, mixed>  $data
     */
    public function show(string $view, array $data, string $name): Response
    {
        $name = preg_replace('/[^A-Za-z0-9._-]+/', '-', $name);

        return new Response($this->render($view, $data), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"$name\"",
        ]);
    }
}
