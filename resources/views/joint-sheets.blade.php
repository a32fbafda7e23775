<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $number }} joint sheets</title>
<style>
    @page { margin: 10mm 13mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 8.3pt; color: #13181c; line-height: 1.25; }
    .page { page-break-after: always; }
    .page.last { page-break-after: auto; }
    table { width: 100%; border-collapse: collapse; }
    td { vertical-align: top; padding: 0; }
    .plate td { border: 0.4pt solid #8796a1; padding: 1mm 1.8mm; }
    .l { display: block; color: #4c5963; font-size: 7pt; }
    .n { font-family: 'DejaVu Sans Mono', monospace; white-space: nowrap; }
    .joint { font-size: 24pt; line-height: 1; }
    .big td { border-bottom: 0.8pt solid #13181c; padding: 1.5mm 2mm 1.5mm 0; }
    .big .n { font-size: 19pt; }
    .rows td { border-bottom: 0.2pt solid #c2ccd3; padding: 0.4mm 1mm 0.4mm 0; }
    .rows .n { text-align: right; font-size: 8.3pt; }
    .q { color: #4c5963; }
    .by { font-size: 7pt; color: #07645d; }
    ol, ul { margin: 1mm 0 0 0; padding-left: 4.5mm; }
    .blank td { border: 0.4pt solid #8796a1; height: 9mm; padding: 0.6mm 1.4mm; }
</style>
</head>
<body>
@foreach($pages as $page)
<div class="page @if($loop->last) last @endif">
<table class="plate"><tr>
    <td style="width: 26mm"><span class="l">Joint</span><span class="n joint">{{ $page['joint'] }}</span></td>
    <td><span class="l">{{ $page['type'] }}</span>{{ $page['between'] }}<br><span class="n">{{ $page['metals'] }}</span></td>
    <td><span class="l">Job</span><span class="n">{{ $number }}</span> rev {{ $revision }}<br>{{ $title }}</td>
    <td style="width: 26mm"><span class="l">Weld</span><span class="n">{{ $page['order'] }} of {{ $page['of'] }}</span></td>
</tr></table>
<p>{{ ucfirst($page['phase']) }}. {{ $page['why'] }} Index mark: {{ $page['index'] }}.</p>
<table class="big"><tr>
@foreach($page['big'] as $row)
    <td><span class="l">{{ $row['label'] }}</span><span class="n">{{ $row['text'] }}</span> <span class="by">{{ $row['by'] }}</span>@if($loop->first)<br><span class="n" style="font-size: 9pt">{{ $page['working'] }}</span>@endif</td>
@endforeach
</tr></table>
<table><tr>
    <td style="width: 58mm; padding-right: 5mm">
        @if($page['dial'])<img src="{{ $page['dial'] }}" style="width: 50mm; height: 50mm" alt="">
        <span class="l">Looking with the flow, index mark on top; tacks in their order.@if(str_contains((string) base64_decode(substr($page['dial'], 26)), '#98231f')) Dashed: no torch gets there.@endif</span>@endif
    </td>
    <td>
        <table class="rows">
        @foreach($page['machine'] as $row)
        <tr><td class="q">{{ $row['label'] }} <span class="by">{{ $row['by'] }}</span></td><td class="n">{{ $row['text'] }}</td></tr>
        @endforeach
        </table>
    </td>
</tr></table>
<table style="margin-top: 3mm"><tr>
    <td style="width: 84mm; padding-right: 5mm">
        @if($page['held'])<img src="{{ $page['held'] }}" style="width: 75mm; height: 50mm" alt="">@endif
        <ol>@foreach($page['lines'] as $line)<li>{{ $line }}</li>@endforeach</ol>
    </td>
    <td>
        <table class="rows">
        @foreach([...$page['root'], ...$page['purge']] as $row)
        <tr><td class="q">{{ $row['label'] }} <span class="by">{{ $row['by'] }}</span></td><td class="n">{{ $row['text'] }}</td></tr>
        @endforeach
        </table>
    </td>
</tr></table>
<ul>
@foreach([...$page['by'], ...$page['warnings']] as $line)<li>{{ $line }}</li>@endforeach
<li class="q">Arc: eyes and skin covered. Chromium(VI) and nickel in the fume: draw it off at the arc. Argon suffocates: air the room.</li>
</ul>
<table class="blank" style="margin-top: 3mm"><tr>
@foreach(['Amps used', 'Oxygen', 'Resumed at', 'Colour out', 'Colour in', 'Done by'] as $label)<td><span class="l">{{ $label }}</span></td>@endforeach
</tr></table>
</div>
@endforeach
</body>
</html>
