@php
    /** @var array<string, mixed> $job */
    /** @var array<string, string> $ribbons pictures by letter */
    /** @var list<string> $materials */
    /** @var list<array{title: string, picture: string, end: string}> $traces */
    /** @var list<array{words: string, picture: string}> $photos */
    $growth = $job['plan']['fit']['growth'];
    $service = $job['plan']['fit']['service'];
    /** @var \App\Print\LocalTime $time of the log, which no customer is shown */
    /** @var bool $isForCustomer what only the shop needs is left out */
    $isForCustomer ??= false;
    $head = $job['document']['job'];
    $runs = array_values(array_filter($job['plan']['runs'], static fn (array $run): bool => $run['run'] !== null));
    $collectors = $job['plan']['merge']['collectors'];
    $sheets = array_column($job['plan']['weld']['sheets'], null, 'joint');
    $tubes = implode(', ', array_unique(array_map(static fn (array $one): string => $one['tube']['name'] ?? '–', [...$runs, ...$collectors])));
    $bench = $job['bench'];
    $read = static fn (string $joint, string $what): string => (((array) ($bench['asWelded'] ?? []))[$joint][$what] ?? '') ?: '–';
    $joints = array_column(array_merge(...array_column([...$runs, ...$collectors], 'joints')), null, 'id');
    $titles = array_column(array_merge($bench['steps'] ?? [], ...array_values((array) ($bench['added'] ?? []))), 'title', 'id');
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $head['number'] }} record</title>
<style>
    @page { margin: 16mm 14mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 8.4pt; color: #13181c; line-height: 1.35; }
    h1 { font-size: 15pt; margin: 0; }
    h2 { font-size: 10.5pt; margin: 5mm 0 1mm; border-bottom: 0.4pt solid #13181c; }
    table { width: 100%; border-collapse: collapse; }
    th { text-align: left; font-weight: normal; color: #4c5963; font-size: 7.4pt; border-bottom: 0.4pt solid #8796a1; padding: 0.7mm 1.4mm 0.7mm 0; }
    td { border-bottom: 0.2pt solid #c2ccd3; padding: 0.8mm 1.4mm 0.8mm 0; vertical-align: top; }
    .n { font-family: 'DejaVu Sans Mono', monospace; font-size: 7.9pt; white-space: nowrap; }
    .plate td { border: 0.4pt solid #8796a1; padding: 1mm 1.6mm; }
    .plate .l { display: block; color: #4c5963; font-size: 6.8pt; }
    .q { color: #4c5963; }
    .w { white-space: nowrap; }
    .signed { margin-top: 12mm; page-break-inside: avoid; }
    .signed td { width: 33%; border: 0; border-top: .3mm solid #4c5963; padding-top: 1mm; }
</style>
</head>
<body>
<h1>{{ $head['title'] }}</h1>
<p class="q">{{ $head['vehicle'] }}@if($head['customer'] !== '') · for {{ $head['customer'] }}@endif</p>
<table class="plate"><tr>
    <td><span class="l">Number</span><span class="n">{{ $head['number'] }}</span></td>
    <td><span class="l">Revision</span><span class="n">{{ $job['revision']['number'] }} {{ $job['revision']['status'] }}</span></td>
    <td><span class="l">Metal</span><span class="n">{{ $head['metal'] }}</span></td>
    <td><span class="l">Tube</span><span class="n">{{ $tubes === '' ? '–' : $tubes }}</span></td>
    <td><span class="l">Runs</span><span class="n">{{ count($runs) }}</span></td>
    <td><span class="l">Mass</span><span class="n">{{ $job['plan']['cut']['mass']['text'] }}</span></td>
    <td><span class="l">Joints welded</span><span class="n">{{ $bench['jointsDone'] ?? 0 }} of {{ count($sheets) }}</span></td>
</tr></table>

<p><img src="{{ $assembly }}" style="width: 100%"></p>
<h2>Materials</h2>
<p>{{ $materials === [] ? 'Nothing but wire and gas.' : implode('; ', $materials) }}.</p>

@foreach($runs as $run)
<h2>Run {{ $run['letter'] }}@if($run['name'] !== ''), {{ $run['name'] }}@endif: {{ $run['run']['length']['text'] }}</h2>
@isset($ribbons[$run['letter']])<p><img src="{{ $ribbons[$run['letter']] }}" style="width: 100%"></p>@endisset
<table>
    <tr><th>Bend</th><th>Straight before</th><th>Turn</th><th>Bend</th><th>Radius</th></tr>
    @foreach($run['run']['bends'] as $i => $bend)
    <tr class="n"><td>{{ $i + 1 }}</td><td>{{ $bend['straight']['text'] }}</td><td>{{ $bend['rotation']['text'] }}</td><td>{{ $bend['angle']['text'] }}</td><td>{{ $bend['clr']['text'] }}</td></tr>
    @endforeach
    <tr class="n"><td>end</td><td>{{ $run['run']['endStraight']['text'] }}</td><td></td><td></td><td></td></tr>
</table>
<table>
    <tr><th>Piece</th><th>Stock</th><th>Cut length</th><th>Finished</th><th>Turn from the throat before</th></tr>
    @foreach($run['pieces'] as $piece)
    <tr><td>{{ $piece['mark'] }}</td><td class="n">{{ $piece['stock'] }}</td><td class="n">{{ $piece['cutLength']['text'] }}</td><td class="n">{{ $piece['length']['text'] }}</td><td class="n">@if($piece['clocking']){{ $piece['clocking']['turn']['text'] }} = {{ $piece['clocking']['around']['text'] }} {{ $piece['clocking']['way'] }}@else–@endif</td></tr>
    @endforeach
</table>
@endforeach
@foreach($collectors as $one)
<h2>Collector {{ $one['letter'] }}, {{ $one['name'] }}: {{ $one['inlets'] }} into 1, {{ lcfirst($one['makeLabel']) }}, {{ $one['length']['text'] }} to an outlet of {{ $one['outletTube']['od']['text'] }}</h2>
@if($one['pieces'] !== [])
<table>
    <tr><th>Piece</th><th>Stock</th><th>Cut length</th><th>Outlet end</th></tr>
    @foreach($one['pieces'] as $piece)
    <tr><td>{{ $piece['mark'] }}</td><td class="n">{{ $piece['stock'] }}</td><td class="n">{{ $piece['cutLength']['text'] }}</td><td>{{ lcfirst($piece['endPrep']) }}</td></tr>
    @endforeach
</table>
@endif
@endforeach
@if($sheets !== [])
<h2>Joints, in the order they are welded</h2>
<table>
    <tr><th>Joint</th><th>Between</th><th>Filler</th><th>Amps plan</th><th>Amps used</th><th>Oxygen</th><th>Time</th><th>Looked at</th></tr>
    @foreach($job['plan']['schedule']['slots'] as $slot)
    @php($sheet = $sheets[$slot['joint']])
    <tr><td class="n">{{ $sheet['joint'] }}</td><td>{{ $joints[$sheet['joint']]['between'] }} to {{ $joints[$sheet['joint']]['and'] }}, {{ lcfirst($joints[$sheet['joint']]['typeLabel']) }}</td>
        <td class="n">{{ $sheet['settings']['filler']['text'] ?? '' }}</td><td class="n">{{ $sheet['settings']['amps']['text'] ?? '' }}</td>
        <td class="n">{{ $read($sheet['joint'], 'amps') }}</td><td class="n">{{ $read($sheet['joint'], 'oxygen') }}</td>
        <td class="n">{{ $read($sheet['joint'], 'seconds') }}</td><td>{{ $read($sheet['joint'], 'found') }}</td></tr>
    @endforeach
</table>
@endif

@if(($bench['faces'] ?? []) !== [])
<h2>Faces, as they were measured</h2>
@foreach($bench['faces'] as $face)
<p>{{ str_replace('Measure the face of ', '', $face['title']) }}: {{ $face['verdict'] }}</p>
@endforeach
@endif
@if($traces !== [])
<h2>What instruments recorded</h2>
<table>
    @foreach(array_chunk($traces, 3) as $row)
    <tr>@foreach($row as $trace)<td style="width: 33%"><span class="n">{{ $trace['title'] }}</span> <span class="q">{{ $trace['end'] }}</span><br><img src="{{ $trace['picture'] }}" style="width: 54mm"></td>@endforeach</tr>
    @endforeach
</table>
@endif

@if($bench !== null)
<h2>Departures</h2>
@forelse($bench['deviations'] as $deviation)
<p><b>{{ $deviation['title'] }}:</b> {{ $deviation['what'] }}@if(! $isForCustomer && $deviation['by'] !== '') ({{ $deviation['by'] }})@endif</p>
@empty
<p class="q">{{ $bench['stepsDone'] > 0 ? 'Every reading lies within what was planned.' : 'Nothing has been logged yet.' }}</p>
@endforelse
@if(! $isForCustomer && $overruled !== [])
<h2>Overruled</h2>
@foreach($overruled as $one)
<p>{{ $one['name'] }}: <span class="n">{{ $one['value'] }}</span> in place of <span class="n">{{ $one['proposed'] }}</span>@if($one['why'] !== ''), {{ $one['why'] }}@endif</p>
@endforeach
@endif
@if(! $isForCustomer)
<h2>Log</h2>
@if($bench['earlier'] > 0)
<p class="q">The newest {{ count($bench['log']) }} of {{ $bench['earlier'] + count($bench['log']) }} entries; all of them are in the log as a table ({{ $head['number'] }}-log.csv).</p>
@endif
<table>
    <tr><th>When ({{ $time->zone() }})</th><th>Step</th><th>What</th><th>By</th><th>Note</th></tr>
    @foreach($bench['log'] as $line)
    <tr><td class="n w">{{ $time->show($line['at']) }}</td><td>{{ $titles[$line['step']] ?? $line['words'] }}</td><td>{{ \UpsweptBead\Core\Stage\Bench\EntryKind::from($line['kind'])->label() }}</td><td class="w">{{ $line['by'] }}</td><td>{{ implode(' ', array_filter([$line['found'], $line['note'], $line['why']])) }}</td></tr>
    @endforeach
</table>
@endif
@endif
@if($growth['loops'] !== [] || $service !== [])
<h2>When it is hot, and when it has to come off</h2>
@foreach($growth['loops'] as $one)
<p>{{ ucfirst($one['name']) }}: grows {{ data_get($one, 'growth.text') }} at {{ data_get($growth, 'temperature.text') }}. {{ $one['taken'] === '' ? $one['advice'] : "Taken by {$one['taken']}." }}</p>
@endforeach
@foreach($service as $one)
<p>Run {{ $one['run'] }} is held by {{ $one['clamps'] }}: {{ $one['comesOut'] === null ? 'whether it comes out with the rest in place was not worked out' : ($one['comesOut'] ? 'it comes out with the rest in place' : 'it does not come out by itself, for '.implode(', ', $one['by'])) }}.</p>
@endforeach
<p>Clamps and bolts: drawn up again once it has been hot. Hangers and flexible joints: looked at with the oil. A crack, or soot at a joint: seen to before it spreads.</p>
@endif
@if($photos !== [])
<h2>Photos</h2>
<table>
    @foreach(array_chunk($photos, 3) as $row)
    <tr>@foreach($row as $photo)<td style="width: 33%"><img src="{{ $photo['picture'] }}" style="width: 56mm"><br><span>{{ $photo['words'] }}</span></td>@endforeach</tr>
    @endforeach
</table>
@endif
<table class="signed">
    <tr><td>Welded by</td><td>Inspected by</td><td>Date</td></tr>
</table>
<p class="q">Local codes, emissions and noise law, racing rules and licensed practice come first.</p>
</body>
</html>
