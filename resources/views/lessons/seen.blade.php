<x-layout :title="__('prescriptions.seen.title')">
    <p class="small"><a href="{{ route('lessons.show', $lesson) }}">{{ __('lessons.title', ['golfer' => $golfer->pseudonym, 'day' => $day]) }}</a></p>
    <h1>{{ __('prescriptions.seen.title') }}</h1>
    <p class="words">{{ __('prescriptions.seen.says') }}</p>
    <p>{{ trans_choice('prescriptions.seen.swings', $swings, ['count' => $swings]) }}
        @if($limits)
            <b>{{ __('prescriptions.spare', ['limits' => $limits]) }}</b>
        @endif
    </p>
    <nav class="lenses" aria-label="{{ __('codebook.lens') }}">
        @foreach($lenses as $key => $name)
            <a href="{{ route('prescriptions.create', [$lesson, 'lens' => $key]) }}" @if($key === $lens) aria-current="true" @endif>{{ $name }}</a>
        @endforeach
    </nav>
    @if($own)
        <p class="small">{{ __('prescriptions.seen.own') }}</p>
        <ul class="small">
            @foreach($own as $id => $name)
                <li>{{ $name }}
                    @if($id === $taken)
                        <b>{{ __('prescriptions.seen.taken') }}</b>
                    @else
                        <a href="{{ route('prescriptions.create', [$lesson, 'lens' => $lens, 'own' => $id]) }}">{{ __('prescriptions.seen.take') }}</a>
                    @endif
                </li>
            @endforeach
        </ul>
    @endif
    <form method="post" action="{{ route('prescriptions.store', $lesson) }}">
        @csrf
        <input type="hidden" name="lens" value="{{ $lens }}">
        @if($strong)
            <h2>{{ __('prescriptions.seen.strong') }}</h2>
            @include('lessons.seen-rows', ['rows' => $strong])
        @endif
        <details class="group" @if($strong === []) open @endif>
            <summary>{{ trans_choice('prescriptions.seen.rest', count($rest), ['count' => count($rest)]) }}</summary>
            @include('lessons.seen-rows', ['rows' => $rest])
        </details>
        <h2>{{ __('prescriptions.seen.outside') }}</h2>
        <p class="small quiet">{{ __('prescriptions.seen.causes-say') }}</p>
        <div class="ticks">
            @foreach($outside as $code => $word)
                <label class="line"><input type="checkbox" name="causes[]" value="{{ $code }}"
                    @checked(in_array($code, \App\Http\Old::texts('causes', $causes), true))> {{ $word }}</label>
            @endforeach
        </div>
        <p class="ways"><button class="act">{{ __('prescriptions.seen.act') }}</button></p>
    </form>
</x-layout>
