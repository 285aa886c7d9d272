<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ __('note.page') }}</title>
    <style>
        @page { margin: 13mm 16mm; }
        body { font-family: 'DejaVu Sans', sans-serif; font-size: 9pt; line-height: 1.3; color: #1f1c16; }
        h1 { font-size: 24pt; line-height: 1.1; margin: 0 0 1mm; }
        h2 { font-size: 12pt; margin: 2.5mm 0 1mm; border-top: 0.6pt solid #1f1c16; padding-top: 1.5mm; }
        p { margin: 0 0 1.2mm; }
        .head, .about, .image { color: #655f52; }
        .drawing img { height: 34mm; max-width: 175mm; }
        table { border-collapse: collapse; width: 100%; margin: 1mm 0; }
        th { text-align: left; width: 34mm; font-weight: normal; color: #655f52; vertical-align: top; padding: 0.4mm 2mm 0.4mm 0; }
        td { padding: 0.4mm 0; }
        .stills { margin-top: 5mm; }
        .stills figure { display: inline-block; margin: 1mm 4mm 0 0; }
        .stills img { height: 44mm; }
        figcaption { font-size: 8pt; color: #655f52; }
        .cautions { border: 0.8pt solid #1f1c16; padding: 2mm 3mm 1mm; margin: 2mm 0; font-size: 8.5pt; }
        .next { font-size: 11pt; }
    </style>
</head>
<body>
    <p class="head">{{ $academy }}</p>
    @include('lessons.note-text', ['paper' => true])
</body>
</html>
