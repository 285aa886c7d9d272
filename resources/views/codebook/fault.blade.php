<x-layout :title="$fault['name']">
    <x-slot:head>
        <x-words :of="['stage.script', 'codebook.look']" />
        <script type="module" src="@part('js/codebook/looks.js')"></script>
    </x-slot:head>
    <p class="small"><a href="{{ route('codebook') }}#{{ $fault['key'] }}">{{ __('codebook.page') }}</a></p>
    <h1 class="with-ribbon">
        <span>{{ $fault['name'] }}
            @if($fault['differs'])
                <span class="badge">{{ __('codebook.differ') }}</span>
            @endif
        </span>
        <x-ribbon :at="[$fault['station']]" :width="300" :label="$fault['shows']" />
    </h1>
    <div @class(['looked-at' => $fault['look']])>
        @if($fault['look'])
            <x-fault-look :fault="$fault['key']" :name="$fault['name']" :where="$fault['where']" />
        @endif
        @include('codebook.facts', ['f' => $fault])
    </div>
    @if($edits)
        @include('codebook.fault.holds')
    @endif
    <h2>{{ __('definition.rules') }}</h2>
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('definition.lens') }}</th>
                    <th>{{ __('codebook.fault.supported') }}</th>
                    <th>{{ __('codebook.fault.contradicted') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($rules as $rule)
                    <tr>
                        <td>{{ $rule['lens'] }}</td>
                        <td>{{ $rule['supported'] }}</td>
                        <td>{{ $rule['contradicted'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    @if($off)
        <p class="small quiet">{{ __('definition.off', ['lenses' => implode(', ', $off)]) }}</p>
    @endif
    <h2>{{ __('definition.drills.title') }}</h2>
    <dl class="facts">
        @foreach(['helps' => $helps, 'harms' => $harms] as $what => $drills)
            <dt>{{ __("definition.drills.$what") }}</dt>
            <dd>
                @forelse($drills as $drill)
                    <div><a href="{{ $drill['url'] }}">{{ $drill['name'] }}</a>
                        <span class="quiet small">{{ $drill['for'] }}</span></div>
                @empty
                    {{ __('definition.drills.none') }}
                @endforelse
            </dd>
        @endforeach
    </dl>
    <p class="notice small">{{ __('cautions.drills') }}</p>
    @include('codebook.fault.examples')
</x-layout>
