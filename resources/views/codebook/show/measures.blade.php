<h2 id="bands">{{ __('codebook.bands.title') }}</h2>
<x-scroll>
    <table class="rows spread-table">
        <thead>
            <tr>
                <th>{{ __('codebook.bands.measure') }}</th>
                @foreach($lensNames as $name)
                    <th class="num">{{ $name }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($bands as $row)
                <tr>
                    <td>
                        <a href="#m-{{ $row['measure'] }}">{{ $row['name'] }}</a>
                        <span class="quiet small">{{ $row['unit'] }}</span>
                    </td>
                    @foreach($row['bands'] as $band)
                        <td class="num">{{ $band }}</td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
</x-scroll>
<h2 id="measures">{{ __('codebook.measures.title') }}</h2>
<dl class="facts">
    @foreach($measures as $m)
        <dt id="m-{{ $m['key'] }}">{{ $m['name'] }}</dt>
        <dd>
            {{ $m['means'] }} <span class="quiet small">{{ $m['note'] }}</span>
            @foreach($m['more'] as $line)
                <p class="small">{{ $line }}</p>
            @endforeach
        </dd>
    @endforeach
</dl>
<h2 id="words">{{ __('codebook.words.title') }}</h2>
<dl class="facts">
    @foreach($words as $key => $entry)
        <dt id="w-{{ $key }}">{{ $entry['word'] }}</dt>
        <dd>{{ $entry['means'] }}</dd>
    @endforeach
</dl>
