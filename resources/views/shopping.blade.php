@php
    /** @var string $number */
    /** @var string $title */
    /** @var \UpsweptBead\Core\Account\Stores\ShoppingList $list */
    /** @var callable(\UpsweptBead\Core\Account\Stores\ItemKind, float): string $text */
    $buy = array_filter($list->rows, static fn ($row): bool => $row->toBuy > 0.0);
    $have = array_filter($list->rows, static fn ($row): bool => $row->fromStores > 0.0);
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $number }} shopping list</title>
<style>
    @page { margin: 16mm 14mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.4pt; color: #13181c; line-height: 1.4; }
    h1 { font-size: 15pt; margin: 0; }
    h2 { font-size: 11pt; margin: 6mm 0 1mm; border-bottom: 0.4pt solid #13181c; }
    table { width: 100%; border-collapse: collapse; }
    th { text-align: left; font-weight: normal; color: #4c5963; font-size: 8pt; border-bottom: 0.4pt solid #8796a1; padding: 1mm 2mm 1mm 0; }
    td { border-bottom: 0.2pt solid #c2ccd3; padding: 1.4mm 2mm 1.4mm 0; vertical-align: top; }
    .n { font-family: 'DejaVu Sans Mono', monospace; font-size: 8.6pt; white-space: nowrap; }
    .r { text-align: right; }
    .q { color: #4c5963; }
    .box { display: inline-block; width: 3.4mm; height: 3.4mm; border: 0.6pt solid #13181c; }
</style>
</head>
<body>
<h1>Shopping list</h1>
<p class="q">{{ $number }} · {{ $title }}</p>
<h2>To buy</h2>
@if($buy === [])
<p>Nothing: the stores have all of it.</p>
@else
<table>
<tr><th></th><th>What</th><th>Item</th><th class="r">Quantity</th><th class="r">Cost</th></tr>
@foreach($buy as $row)
<tr>
    <td><span class="box"></span></td>
    <td>{{ $row->need->name }}</td>
    <td class="n">{{ $row->need->key }}</td>
    <td class="n r">{{ $text($row->need->kind, $row->toBuy) }}</td>
    <td class="n r">{{ $row->cost === null ? 'ask' : $currency->show($row->cost) }}</td>
</tr>
@endforeach
<tr><td colspan="4" class="r">{{ $list->isPriced() ? 'Together' : 'Together, without what has no price' }}</td><td class="n r">{{ $currency->show($list->cost()) }}</td></tr>
</table>
@endif
<h2>Out of the stores</h2>
@if($have === [])
<p>Nothing.</p>
@else
<table>
<tr><th></th><th>What</th><th>Item</th><th>Place</th><th class="r">Quantity</th></tr>
@foreach($have as $row)
<tr>
    <td><span class="box"></span></td>
    <td>{{ $row->need->name }}</td>
    <td class="n">{{ $row->need->key }}</td>
    <td>{{ $row->location }}</td>
    <td class="n r">{{ $text($row->need->kind, $row->fromStores) }}</td>
</tr>
@endforeach
</table>
@endif
</body>
</html>
