{{-- What the ball did and what was measured: shown only at the second look. Expects $looks, one for each swing. --}}
<section class="outcome" aria-labelledby="outcome-h">
    <h2 class="first" id="outcome-h">The ball, and the numbers</h2>
    @if(count($looks) === 1)<p><b>{{ ucfirst($looks[0]['says']) }}.</b></p>@else<dl class="facts small">@foreach($looks as $look)<dt>{{ $look['name'] }}</dt><dd>{{ ucfirst($look['says']) }}.</dd>@endforeach</dl>@endif
    <p class="quiet small">A result can have other causes than the feet.</p>
    @php($by = array_map(fn ($look) => collect($look['numbers'])->keyBy('label'), $looks))
    @if($labels = collect($by)->flatMap(fn ($n) => $n->keys())->unique()->all())
        <details><summary class="quiet small">What was measured</summary>
            <table class="rows small">
                @if(count($looks) > 1)<tr><th>Measure</th>@foreach($looks as $look)<th class="num">{{ $look['name'] }}</th>@endforeach<th class="num">±</th></tr>@endif
                @foreach($labels as $label)
                    <tr><td>{{ $label }} <span class="quiet">{{ collect($by)->map(fn ($n) => $n[$label]['unit'] ?? null)->filter()->first() }}</span></td>@foreach($by as $n)<td class="num">{{ $n[$label]['value'] ?? '–' }}</td>@endforeach<td class="num quiet">{{ count($looks) === 1 ? '± ' : '' }}{{ collect($by)->map(fn ($n) => $n[$label]['uncertainty'] ?? null)->filter()->max() }}</td></tr>
                @endforeach
            </table>
        </details>
    @endif
</section>
