<h2 id="drills">{{ __('codebook.drills.title') }}</h2>
<p class="notice small">{{ __('cautions.drills') }}</p>
@foreach($drills as $d)
    <details class="group" id="d-{{ $d['key'] }}">
        <summary><b>{{ $d['name'] }}</b> – {{ $d['for'] }}</summary>
        <x-drill-drawing :drill="$d['key']" />
        <dl class="facts small">
            @foreach(['helps', 'worse'] as $what)
                @if($d[$what])
                    <dt>{{ __("codebook.drills.of.$what") }}</dt>
                    <dd>
                        @foreach($d[$what] as $of)
                            <a href="{{ $of['url'] }}">{{ $of['name'] }}</a>@if(! $loop->last),@endif
                        @endforeach
                    </dd>
                @endif
            @endforeach
            @foreach($d['facts'] as $name => $says)
                <dt>{{ $name }}</dt>
                <dd>{{ $says }}</dd>
            @endforeach
        </dl>
    </details>
@endforeach
