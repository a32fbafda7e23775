@php
    /** @var array<string, mixed> $job */
    /** @var Carbon\CarbonImmutable $until */
    $head = $job['document']['job'];
    $sheets = array_column($job['plan']['weld']['sheets'], null, 'joint');
    $bench = $job['bench'];
    $read = static fn (string $joint, string $what): string => (((array) $bench['asWelded'])[$joint][$what] ?? '') ?: '–';
    $members = [...array_filter($job['plan']['runs'], static fn (array $run): bool => $run['run'] !== null), ...$job['plan']['merge']['collectors']];
    $joints = array_column(array_merge(...array_column($members, 'joints')), null, 'id');
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<title>{{ $head['title'] }} · {{ $shop }}</title>
<style>
    :root { --paper: #e9edf0; --sheet: #f7f9fa; --ink: #13181c; --quiet: #4c5963; --line: #c2ccd3; --action: #07645d; color-scheme: light; }
    body { margin: 0; background: var(--paper); color: var(--ink); font: 16px/1.45 system-ui, sans-serif; }
    main { max-width: 60rem; margin: 0 auto; padding: 1rem; }
    section { background: var(--sheet); border: 1px solid var(--line); padding: .8rem 1rem; margin-top: .6rem; }
    h1 { font-size: 1.7rem; line-height: 1.15; margin: 0; }
    h2 { font-size: 1.05rem; margin: 0 0 .3rem; }
    p { margin: .25rem 0; }
    .q { color: var(--quiet); }
    .facts { display: flex; flex-wrap: wrap; gap: .4rem 2rem; }
    .facts span { display: block; color: var(--quiet); font-size: .8rem; }
    .scroll { overflow-x: auto; }
    table { border-collapse: collapse; width: 100%; }
    th { text-align: left; font-weight: normal; color: var(--quiet); font-size: .8rem; }
    th, td { padding: .35rem .8rem .35rem 0; border-bottom: 1px solid var(--line); vertical-align: top; }
    .n { font-family: ui-monospace, monospace; white-space: nowrap; }
    a { color: var(--action); display: inline-block; padding: .7rem 1.2rem; border: 2px solid currentColor; font-weight: 600; text-decoration: none; }
    .photos { display: grid; grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr)); gap: .8rem; }
    figure { margin: 0; }
    img { width: 100%; height: auto; display: block; }
    @media (max-width: 40rem) {
        thead { display: none; }
        tr { display: block; border-bottom: 1px solid var(--line); padding: .4rem 0; }
        td { display: flex; justify-content: space-between; gap: 1rem; border: 0; padding: .1rem 0; text-align: right; white-space: normal; }
        td::before { content: attr(data-label); color: var(--quiet); text-align: left; }
    }
</style>
</head>
<body>
<main>
<p class="q">{{ $shop }}</p>
<h1>{{ $head['title'] }}</h1>
<p class="q">{{ $head['vehicle'] }}@if($head['customer'] !== ''), for {{ $head['customer'] }}@endif</p>
<section class="facts">
    <p><span>Number</span><b class="n">{{ $head['number'] }}</b></p>
    <p><span>Metal</span><b class="n">{{ $head['metal'] }}</b></p>
    <p><span>Mass</span><b class="n">{{ $job['plan']['cut']['mass']['text'] }}</b></p>
    <p><span>Joints welded</span><b class="n">{{ $bench['jointsDone'] }} of {{ count($sheets) }}</b></p>
    <p><span>Steps done</span><b class="n">{{ $bench['stepsDone'] }} of {{ count($bench['steps']) + array_sum(array_map(count(...), (array) $bench['added'])) }}</b></p>
</section>
<section>
    <h2>Joints</h2>
    <div class="scroll"><table>
        <thead><tr><th>Joint</th><th>Between</th><th>Filler</th><th>Amps</th><th>Oxygen at the root</th><th>Looked at</th></tr></thead>
        <tbody>
        @foreach($job['plan']['schedule']['slots'] as $slot)
        @php($id = $slot['joint'])
        <tr>
            <td class="n" data-label="Joint">{{ $id }}</td>
            <td data-label="Between">{{ $joints[$id]['between'] }} to {{ $joints[$id]['and'] }}</td>
            <td class="n" data-label="Filler">{{ $sheets[$id]['settings']['filler']['text'] }}</td>
            <td class="n" data-label="Amps">{{ $read($id, 'amps') }}</td>
            <td class="n" data-label="Oxygen">{{ $read($id, 'oxygen') }}</td>
            <td data-label="Looked at">{{ $read($id, 'found') }}</td>
        </tr>
        @endforeach
        </tbody>
    </table></div>
</section>
<section>
    <h2>Departures</h2>
    @forelse($bench['deviations'] as $deviation)
    <p><b>{{ $deviation['title'] }}:</b> {{ $deviation['what'] }}</p>
    @empty
    <p class="q">{{ $bench['stepsDone'] > 0 ? 'Every reading lies within what was planned.' : 'Nothing has been logged yet.' }}</p>
    @endforelse
</section>
@if($photos !== [])
<section>
    <h2>Photos</h2>
    <div class="photos">
    @foreach($photos as $photo)
        <figure><img src="/record/{{ $token }}/photos/{{ $photo['id'] }}" width="{{ $photo['wide'] }}" height="{{ $photo['high'] }}" alt="Photo at {{ $photo['words'] }}" loading="lazy"><figcaption>{{ $photo['words'] }}</figcaption></figure>
    @endforeach
    </div>
</section>
@endif
<section>
    <p><a href="/record/{{ $token }}/record.pdf">The record as PDF</a></p>
    <p class="q">This page can be read until {{ $until->format('j F Y') }}. Local codes, emissions and noise law, racing rules and licensed practice come first.</p>
</section>
</main>
</body>
</html>
