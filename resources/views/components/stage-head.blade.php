<link rel="stylesheet" href="/vendor/uplot/uPlot.min.css">
@foreach($fetch as $url)
    <link rel="preload" as="fetch" href="{{ $url }}" crossorigin>
@endforeach
@foreach($modules as $module)
    <link rel="modulepreload" href="/js/{{ $module }}.js">
@endforeach
<link rel="modulepreload" href="/vendor/uplot/uPlot.esm.js">
