@php
    /** @var array{revision: int, before: array{revision: int, price: float}|null, lines: list<array{key: string, group: string, what: string, quantity: string, why: string, cost: float|null, spent: float|null}>, cost: float, margin: float, marginPercent: float, price: float, taxPercent: float, tax: float, unpriced: list<string>, spent: float|null, expected: float|null} $quote */
    /** @var UpsweptBead\Core\Job\Job $head */
    /** @var \UpsweptBead\Core\Base\Units\Money $currency */
    $money = static fn (?float $one): string => $one === null ? '–' : $currency->show($one);
    $groups = [];
    foreach ($quote['lines'] as $line) {
        $groups[$line['group']][] = $line;
    }
    // The customer pays a price for each part of the work; how it comes about is the shop’s.
    $share = 1 + $quote['marginPercent'] / 100;
    $sum = static fn (array $lines, string $of): float => array_sum(array_column($lines, $of));
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $head->number }} {{ $isForShop ? 'cost' : 'quote' }}</title>
<style>
    @page { margin: 18mm 16mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.5pt; color: #13181c; line-height: 1.4; }
    h1 { font-size: 16pt; margin: 2mm 0 0; }
    h2 { font-size: 10.5pt; margin: 5mm 0 1mm; border-bottom: 0.4pt solid #13181c; }
    table { width: 100%; border-collapse: collapse; }
    th { text-align: left; font-weight: normal; color: #4c5963; font-size: 7.6pt; }
    td { border-bottom: 0.2pt solid #c2ccd3; padding: 0.9mm 1.4mm 0.9mm 0; vertical-align: top; }
    .n { font-family: 'DejaVu Sans Mono', monospace; text-align: right; white-space: nowrap; font-size: 8.8pt; }
    .q { color: #4c5963; }
    .t td { font-weight: bold; border-bottom: 0.6pt solid #13181c; }
</style>
</head>
<body>
<p class="q">{{ $shop }} · {{ $today->format('j F Y') }}</p>
<h1>{{ $isForShop ? 'Cost beside quote' : 'Quote' }}: {{ $head->title }}</h1>
<p class="q">{{ $head->number }}, rev {{ $quote['revision'] }}@if($head->vehicle !== '') · {{ $head->vehicle }}@endif @if($head->customer !== '') · for {{ $head->customer }}@endif</p>
@if($isForShop)
@foreach($groups as $name => $lines)
<h2>{{ $name }}</h2>
<table>
    <tr><th>What</th><th class="n">How much</th><th class="n">Quoted</th><th class="n">Counted</th></tr>
    @foreach($lines as $line)
    <tr><td>{{ $line['what'] }}</td><td class="n">{{ $line['quantity'] }}</td><td class="n">{{ $money($line['cost']) }}</td><td class="n">{{ $money($line['spent']) }}</td></tr>
    @endforeach
</table>
@endforeach
<h2>Together</h2>
<table>
    <tr><td>Cost</td><td class="n">{{ $money($quote['cost']) }}</td><td class="n">{{ $money($quote['expected']) }}</td></tr>
    <tr><td>Price, with a margin of {{ round($quote['marginPercent'], 1) }} %</td><td class="n">{{ $money($quote['price']) }}</td><td></td></tr>
    @if($quote['taxPercent'] > 0.0)
    <tr><td>Tax, {{ round($quote['taxPercent'], 1) }} %</td><td class="n">{{ $money($quote['tax']) }}</td><td></td></tr>
    @endif
    @if($quote['expected'] !== null)
    <tr class="t"><td>Left of the price</td><td class="n">{{ $money($quote['margin']) }}</td><td class="n">{{ $money($quote['price'] - $quote['expected']) }}</td></tr>
    @endif
</table>
<p class="q">Counted: out of the stores, through a flowmeter that was read, from one entry of a person in the log to the next. What was not counted, or is not finished, is taken as quoted.</p>
@else
<table style="margin-top: 6mm">
    @foreach($groups as $name => $lines)
    <tr><td>{{ $name }}@if($name === 'Tube and parts' || $name === 'Done by others')<br><span class="q">{{ implode('; ', array_map(static fn (array $line): string => trim($line['quantity'].' '.$line['what']), $lines)) }}</span>@endif</td><td class="n">{{ $money($sum($lines, 'cost') * $share) }}</td></tr>
    @endforeach
    @if($quote['taxPercent'] > 0.0)
    <tr><td>Without tax</td><td class="n">{{ $money($quote['price']) }}</td></tr>
    <tr><td>Tax, {{ round($quote['taxPercent'], 1) }} %</td><td class="n">{{ $money($quote['tax']) }}</td></tr>
    @endif
    <tr class="t"><td>Together</td><td class="n">{{ $money($quote['price'] + $quote['tax']) }}</td></tr>
</table>
<p class="q">Stands until {{ $until->format('j F Y') }}. {{ $quote['taxPercent'] > 0.0 ? 'Delivery' : 'Taxes and delivery' }} not included. Fitting the work to the vehicle, and what the law where it is driven asks of emissions and noise, is the owner’s to settle.</p>
@endif
@if($quote['unpriced'] !== [])
<p>△ Without a price, and not in the sum: {{ implode('; ', $quote['unpriced']) }}.</p>
@endif
</body>
</html>
