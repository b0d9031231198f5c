<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $title }}</title>
<style>
    @page { margin: 22mm 20mm 18mm; }
    body { font: 10pt/1.45 'DejaVu Sans', sans-serif; color: #20262d; }
    h1 { font: bold 17pt 'DejaVu Serif', serif; margin: 0 0 6mm; }
    table { width: 100%; border-collapse: collapse; }
    td, th { padding: 1.6mm 2mm 1.6mm 0; text-align: left; vertical-align: top; }
    th { border-bottom: 0.4pt solid #8b8370; color: #59626c; font-weight: normal; font-size: 8.5pt; }
    .lines td { border-bottom: 0.3pt solid #dcd4c3; }
    .number { text-align: right; white-space: nowrap; }
    .quiet { color: #59626c; font-size: 8.5pt; }
    .office { text-align: right; margin-bottom: 10mm; }
    .office strong { font: bold 12pt 'DejaVu Serif', serif; }
    .to { height: 28mm; }
    .total td { border-top: 0.8pt solid #20262d; font-weight: bold; }
    .facts td { padding: 0.4mm 6mm 0.4mm 0; width: auto; }
</style>
</head>
<body>
<div class="office"><strong>{{ $office->name }}</strong><br>@foreach ($officeLines as $line){{ $line }}<br>@endforeach</div>
@yield('page')
</body>
</html>
