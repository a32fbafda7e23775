@php
    /** @var string $number */
    /** @var string $title */
    /** @var string $vehicle */
    /** @var \UpsweptBead\Core\Stage\Intake\AtTheVehicle $list */
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $number }} at the vehicle</title>
<style>
    @page { margin: 16mm 14mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.4pt; color: #13181c; line-height: 1.4; }
    h1 { font-size: 15pt; margin: 0; }
    h2 { font-size: 11pt; margin: 6mm 0 1mm; border-bottom: 0.4pt solid #13181c; }
    table { width: 100%; border-collapse: collapse; }
    td { border-bottom: 0.2pt solid #c2ccd3; padding: 1.6mm 2mm 1.6mm 0; vertical-align: top; }
    .write { width: 52mm; border-left: 0.2pt solid #c2ccd3; }
    .q { color: #4c5963; }
    .box { display: inline-block; width: 3.4mm; height: 3.4mm; border: 0.6pt solid #13181c; }
</style>
</head>
<body>
<h1>At the vehicle</h1>
<p class="q">{{ $number }} · {{ $title }}{{ $vehicle === '' ? '' : " · $vehicle" }}</p>
<h2>To measure</h2>
<table>
@foreach($list->measure as $one)
<tr>
    <td style="width: 6mm"><span class="box"></span></td>
    <td><strong>{{ $one['what'] }}</strong><br><span class="q">{{ $one['how'] }}</span></td>
    <td class="write">&nbsp;</td>
</tr>
@endforeach
</table>
<h2>To take along</h2>
<table>
@foreach($list->bring as $one)
<tr><td style="width: 6mm"><span class="box"></span></td><td>{{ $one }}</td></tr>
@endforeach
</table>
<p class="q">On a lift or on stands, never under a jack alone. Battery off before anything is welded on the vehicle; look what burns.</p>
</body>
</html>
