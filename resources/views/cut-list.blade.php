@php
    /** @var string $number */
    /** @var string $title */
    /** @var string $revision */
    /** @var list<array{name: string, pieces: list<array{mark: string, from: string, cut: string, exact: string, ends: string, bend: string, turn: string, preps: string, marks: list<array{label: string, text: string}>, drawing: string}>}> $members */
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $number }} cut list</title>
<style>
    @page { margin: 14mm 13mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 8.6pt; color: #13181c; line-height: 1.3; }
    h1 { font-size: 15pt; margin: 0; }
    h2 { font-size: 11pt; margin: 5mm 0 1mm; border-bottom: 0.4pt solid #13181c; }
    table { width: 100%; border-collapse: collapse; }
    th { text-align: left; font-weight: normal; color: #4c5963; font-size: 7.5pt; border-bottom: 0.4pt solid #8796a1; padding: 0.6mm 2mm 0.6mm 0; }
    td { vertical-align: top; padding: 1mm 2mm 1mm 0; }
    .list td { border-bottom: 0.2pt solid #c2ccd3; }
    .piece { page-break-inside: avoid; border-bottom: 0.4pt solid #8796a1; padding: 1mm 0; }
    .mark { font-size: 14pt; line-height: 1; }
    .n { font-family: 'DejaVu Sans Mono', monospace; white-space: nowrap; }
    .q { color: #4c5963; }
    .box { display: inline-block; width: 3.2mm; height: 3.2mm; border: 0.6pt solid #13181c; }
</style>
</head>
<body>
<h1>Cut list</h1>
<p class="q">{{ $number }} rev {{ $revision }} · {{ $title }}. Lengths as the tape has them, the pieces of each run rounded together; green lines are cuts, dashed lines are where the piece ends up, dotted lines the tangents of its bend. Flow from the left.</p>
@foreach($members as $member)
<h2>{{ $member['name'] }}</h2>
<table class="list">
<tr><th></th><th>Piece</th><th>From</th><th>Cut</th><th>Exactly</th><th>Ends up</th><th>Bend</th><th>Ends</th></tr>
@foreach($member['pieces'] as $piece)
<tr><td><span class="box"></span></td><td class="n">{{ $piece['mark'] }}</td><td class="n">{{ $piece['from'] }}</td><td class="n"><b>{{ $piece['cut'] }}</b></td><td class="n q">{{ $piece['exact'] }}</td><td class="n">{{ $piece['ends'] }}</td><td class="n">{{ $piece['bend'] }}</td><td>{{ $piece['preps'] }}</td></tr>
@endforeach
</table>
@foreach($member['pieces'] as $piece)
<div class="piece"><table><tr>
    <td style="width: 92mm"><img src="{{ $piece['drawing'] }}" style="width: 90mm; height: 50mm" alt=""></td>
    <td>
        <span class="n mark">{{ $piece['mark'] }}</span> <span class="q">from {{ $piece['from'] }}</span><br>
        Cut <b class="n">{{ $piece['cut'] }}</b>
        <table>@foreach($piece['marks'] as $mark)<tr><td class="q">{{ $mark['label'] }}</td><td>{{ $mark['text'] }}</td></tr>@endforeach</table>
        @if($piece['turn'] !== '')<p>{{ $piece['turn'] }}</p>@endif
    </td>
</tr></table></div>
@endforeach
@endforeach
<p class="q">△ Saw and disc: eyes and ears covered, no loose gloves at the blade. Clamp round tube so that it cannot roll.</p>
</body>
</html>
