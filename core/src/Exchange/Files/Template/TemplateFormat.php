<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;

/** The files a wrap template is written as, each at 1:1. */
enum TemplateFormat: string
{
    case Svg = 'svg';
    case Dxf = 'dxf';
    case Pdf = 'pdf';

    public function mime(): string
    {
        return match ($this) {
            self::Svg => 'image/svg+xml',
            self::Dxf => 'image/vnd.dxf',
            self::Pdf => 'application/pdf',
        };
    }

    /** @param  Paper|null  $paper  what a PDF is tiled on; null for one page as large as needed */
    public function write(WrapTemplate $template, ?Paper $paper = null): string
    {
        return match ($this) {
            self::Svg => TemplateSvg::write($template),
            self::Dxf => TemplateDxf::write($template),
            self::Pdf => $paper === null ? TemplatePdf::write($template) : TemplatePdf::tiled($template, $paper),
        };
    }
}
