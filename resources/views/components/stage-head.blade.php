<link rel="stylesheet" href="@part('vendor/uplot/uPlot.min.css')">
@foreach($fetch as $url)
    <link rel="preload" as="fetch" href="{{ $url }}" crossorigin>
@endforeach
@foreach($pictures as $url)
    <link rel="preload" as="image" href="{{ $url }}">
@endforeach
@foreach($modules as $module)
    <link rel="modulepreload" href="@part("js/$module.js")">
@endforeach
<link rel="modulepreload" href="@part('vendor/uplot/uPlot.esm.js')">
