<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Workshop\Workshop;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Exchange\Files\Template\JobTemplate;
use UpsweptBead\Core\Exchange\Files\Template\Paper;
use UpsweptBead\Core\Exchange\Files\Template\TemplateFormat;

/** Wrap templates of a job at 1:1, to print or to cut. */
final readonly class TemplateController
{
    public function __construct(private Workshop $workshop) {}

    public function __invoke(Request $request, Job $job, string $format): Response
    {
        $id = $request->string('of')->toString();
        $wanted = TemplateFormat::from($format);
        $paper = Paper::tryFrom($request->string('paper')->toString());
        $sketch = $this->workshop->sketch($this->workshop->read($job->current()));
        $template = JobTemplate::of($sketch, $id, $this->workshop->shop()->rules->value('merge.paper'));
        if (is_string($template)) {
            throw ValidationException::withMessages(['of' => $template]);
        }
        $name = preg_replace('/[^A-Za-z0-9-]+/', '-', "{$job->number}-$id").".$format";

        return new Response($wanted->write($template, $wanted === TemplateFormat::Pdf ? $paper : null), 200, [
            'Content-Type' => $wanted->mime(),
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }
}
