<x-layout :title="__('codebook.page')">
    <x-slot:head>
        <x-words :of="['stage.script', 'codebook.look']" />
        <script type="module" src="@part('js/codebook/looks.js')"></script>
    </x-slot:head>
    <h1>{{ __('codebook.title', ['version' => $version]) }}</h1>
    <nav class="lenses" aria-label="{{ __('codebook.lens') }}">
        @foreach($lenses as $lens)
            <a href="{{ $lens['url'] }}" @if($lens['here']) aria-current="true" @endif>{{ $lens['name'] }}</a>
        @endforeach
        @foreach(__('codebook.parts') as $part => $name)
            <a href="#{{ $part }}">{{ $name }}</a>
        @endforeach
    </nav>
    <p class="words">{{ $says }}</p>
    <p class="quiet small">{{ $footwork }}</p>
    <p class="quiet small">{{ __('codebook.sides') }}</p>
    @foreach($faults as $f)
        <section id="{{ $f['key'] }}">
            <h2 class="with-ribbon">
                <span><a href="{{ $f['url'] }}">{{ $f['name'] }}</a>
                    @if($f['differs'])
                        <span class="badge">{{ __('codebook.differ') }}</span>
                    @endif
                </span>
                <x-ribbon :at="[$f['station']]" :width="300" :label="$f['shows']" />
            </h2>
            <div @class(['looked-at' => $f['look']])>
            @if($f['look'])
                <x-fault-look :fault="$f['key']" :name="$f['name']" :where="$f['where']" />
            @endif
            @include('codebook.facts')
            </div>
        </section>
    @endforeach
    @include('codebook.show.drills')
    @include('codebook.show.measures')
    @include('codebook.show.versions')
</x-layout>
