<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ __('letter.page') }} – {{ $person->name }}</title>
    <style>
        @page { margin: 24mm 22mm; }
        body { font-family: 'DejaVu Sans', sans-serif; font-size: 10.5pt; line-height: 1.45; color: #1f1c16; }
        h2 { font-size: 12pt; margin: 6mm 0 1.5mm; border-top: 0.6pt solid #1f1c16; padding-top: 2mm; page-break-after: avoid; }
        p { margin: 0 0 2mm; }
        ul { margin: 0 0 2mm; }
        .head { color: #655f52; margin-bottom: 10mm; white-space: pre-line; }
        .small { font-size: 8.5pt; color: #655f52; }
    </style>
</head>
<body>
    <div class="head">{{ $academy }}</div>
    @include('letter.text', ['paper' => true])
</body>
</html>
