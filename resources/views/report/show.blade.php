<x-layout :title="$title">
    <h1>{{ $title }}</h1>
    <p class="small no-print on-screen">
        <a href="{{ route('agreement', $round) }}">{{ $round->name }}</a> ·
        <a href="{{ route('reports.board', $round) }}">{{ __('report.for-board') }}</a> ·
        <a href="{{ route('reports.pdf', $round) }}">{{ __('letter.pdf') }}</a>
        <button type="button" class="plain" data-print>{{ __('report.print') }}</button>
    </p>
    <script type="module" src="@part('js/debrief/print.js')"></script>
    <details class="on-screen written" @if($errors->any() || session('refused')) open @endif>
        <summary>{{ __('report.write.title') }}</summary>
        <p class="small quiet">{{ __('report.write.says') }}</p>
        <form method="post" action="{{ route('reports.write', $round) }}">
            @csrf
            @method('put')
            <input type="hidden" name="revision" value="{{ $words->revision }}">
            @foreach($words::MOST as $part => $most)
                <label class="small" for="{{ $part }}">{{ __('report.write.'.$part) }}</label>
                <textarea class="textarea" id="{{ $part }}" name="{{ $part }}" rows="3"
                    maxlength="{{ $most }}">{{ old($part, $words->$part) }}</textarea>
            @endforeach
            <button class="act">{{ __('report.write.keep') }}</button>
        </form>
    </details>
    <article class="report">
        @include('report.text')
    </article>
</x-layout>
