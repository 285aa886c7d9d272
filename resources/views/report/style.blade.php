<style>
@page { margin: 22mm 20mm; }
body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.5pt; line-height: 1.4; color: #1f1c16; }
h1 { font-size: 16pt; line-height: 1.2; margin: 0 0 2mm; }
h2 { font-size: 11.5pt; margin: 5mm 0 1.5mm; border-top: 0.6pt solid #1f1c16; padding-top: 1.5mm; page-break-after: avoid; }
p { margin: 0 0 2mm; }
ul { margin: 0 0 2mm; padding-left: 5mm; }
li { margin: 0 0 1mm; }
table { border-collapse: collapse; width: 100%; margin: 0 0 2mm; }
th { text-align: left; font-size: 8pt; color: #655f52; font-weight: normal; border-bottom: 0.6pt solid #1f1c16; }
th, td { padding: 0.8mm 2mm 0.8mm 0; vertical-align: top; }
td { border-bottom: 0.3pt solid #d9d3c5; }
tr { page-break-inside: avoid; }
.num { text-align: right; padding-right: 4mm; }
.small, .answers { font-size: 8pt; color: #655f52; font-weight: normal; }
.thin { color: #8a8475; font-style: italic; }
.said { white-space: pre-line; }
.value { font-size: 7.5pt; word-wrap: break-word; }
.picture { page-break-inside: avoid; }
.picture img { width: 168mm; }
.slim, .checklist { page-break-inside: avoid; }
</style>
