<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $title }}</title>
    @include('report.style')
</head>
<body>
    <h1>{{ $title }}</h1>
    @include('report.text')
</body>
</html>
