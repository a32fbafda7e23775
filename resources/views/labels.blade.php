@php
    /** @var list<\App\Print\Label> $labels */
    /** @var int $skip labels of the first sheet that are used already */
    $cells = [...array_fill(0, $skip, null), ...$labels];
    $sheets = array_chunk($cells, 21);
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Labels</title>
<style>
    /* A sheet of 3 × 7 labels of 63.5 × 38.1 mm. */
    @page { size: 210mm 297mm; margin: 0; }
    body { margin: 0; font-family: 'DejaVu Sans', sans-serif; color: #000; }
    .sheet { position: relative; width: 210mm; height: 296mm; }
    .sheet + .sheet { page-break-before: always; }
    .label { position: absolute; width: 63.5mm; height: 38.1mm; overflow: hidden; }
    .code { position: absolute; left: 1.5mm; top: 3mm; width: 27mm; height: 27mm; }
    .mark { position: absolute; left: 29mm; top: 2.2mm; width: 33mm; font-size: 19pt; font-weight: bold; line-height: 1; }
    .head { position: absolute; left: 29mm; top: 10.6mm; width: 33mm; font-size: 9pt; font-weight: bold; }
    .lines { position: absolute; left: 29mm; top: 15mm; width: 34mm; font-size: 6.8pt; line-height: 1.2; white-space: nowrap; }
    .flow { position: absolute; left: 3.5mm; top: 32mm; width: 57mm; font-size: 7pt; border-top: 0.8pt solid #000; padding-top: 0.6mm; }
</style>
</head>
<body>
@foreach($sheets as $sheet)
<div class="sheet">
    @foreach($sheet as $i => $label)
        @if($label !== null)
        <div class="label" style="left: {{ 7.2 + ($i % 3) * 66.0 }}mm; top: {{ 15.1 + intdiv($i, 3) * 38.1 }}mm">
            <img class="code" src="{{ $label->code() }}" alt="">
            <div class="mark">{{ $label->mark }}</div>
            <div class="head">{{ $label->head }}</div>
            <div class="lines">@foreach($label->lines as $line)<div>{{ $line }}</div>@endforeach</div>
            @if($label->hasFlow)<div class="flow">flow  ──────────────────────▶</div>@endif
        </div>
        @endif
    @endforeach
</div>
@endforeach
</body>
</html>
