{{-- Lines of lang/ for the page's scripts: public/js/words.js reads them. --}}
@props(['of'])
<script type="application/json"
    id="words">@json(\Illuminate\Support\Arr::undot(array_combine($of, array_map(trans(...), $of))))</script>
