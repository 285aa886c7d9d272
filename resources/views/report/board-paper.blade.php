<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $title }}</title>
    @include('report.style')
    <style>
        @page { margin: 15mm 20mm; }
        body { line-height: 1.3; }
        p { margin: 0 0 1.2mm; }
        h2 { margin: 3.5mm 0 1mm; }
        .dense { font-size: 8pt; line-height: 1.25; }
        .dense h2 { font-size: 9.5pt; margin-top: 2mm; }
        .dense .small { font-size: 7pt; }
        .dense .big { font-size: 11pt; }
        .figures td { border: 0; padding-bottom: 1.5mm; }
        .big { font-size: 13pt; font-weight: bold; white-space: nowrap; width: 45mm; }
        .halves td { border: 0; width: 50%; padding-right: 6mm; }
    </style>
</head>
<body @class(['dense' => $dense])>
    <p class="small">{{ $academy }}</p>
    <h1>{{ $title }}</h1>
    @include('report.board-text')
</body>
</html>
