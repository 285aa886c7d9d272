{{-- What a page with a stage needs is asked for at once, not file by file as each is read. Expects $script, $fetch (addresses). --}}
@php($own = [
    'bench' => ['/js/bench/page.js', '/js/bench/aids.js', '/js/bench/films-panel.js'],
    'reading' => ['/js/reading/page.js', '/js/bench/aids.js', '/js/reading/activity.js', '/js/reading/case.js', '/js/reading/offline.js', '/js/reading/pins.js', '/js/reading/queue.js', '/js/reading/sheet.js', '/js/reading/summary.js', '/js/reading/walk.js'],
    'debrief' => ['/js/debrief/page.js', '/js/debrief/lanes.js', '/js/bench/aids.js'],
    'compare' => ['/js/bench/compare.js', '/js/bench/follow.js'],
][$script])
<link rel="stylesheet" href="/vendor/uplot/uPlot.min.css">
@foreach($fetch as $url)<link rel="preload" as="fetch" href="{{ $url }}" crossorigin>@endforeach
@foreach([...$own, '/js/bench/figure.js', '/js/bench/film.js', '/js/bench/foot-map.js', '/js/bench/picture.js', '/js/bench/ribbon.js', '/js/bench/size.js', '/js/bench/sole.js', '/js/bench/stage.js', '/js/bench/trace-plot.js', '/js/keys.js', '/js/words.js', '/vendor/uplot/uPlot.esm.js'] as $file)<link rel="modulepreload" href="{{ $file }}">@endforeach
