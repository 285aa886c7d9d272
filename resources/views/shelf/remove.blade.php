<x-layout :title="__('removal.page')">
    <p class="small"><a href="{{ route('bench', $recording) }}">{{ __('removal.bench') }}</a></p>
    <h1>{{ __('removal.title', ['name' => $name]) }}</h1>
    <p class="words">{{ $says }}</p>
    @if($sittings !== [])
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('removal.asked-in') }}</th>
                    <th>{{ __('removal.state') }}</th>
                    <th class="num">{{ __('removal.cases') }}</th>
                    <th class="num">{{ __('removal.readings') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($sittings as $s)
                    <tr>
                        <td>{{ $s['name'] }}</td>
                        <td>{{ $s['state'] }}</td>
                        <td class="num">{{ $s['cases'] }}</td>
                        <td class="num">{{ $s['readings'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <p class="words">{{ $stays }}</p>
    @endif
    <form method="post" action="{{ route('bench.erase', $recording) }}">
        @csrf
        @method('delete')
        <a class="act" href="{{ route('bench', $recording) }}">{{ __('removal.keep') }}</a>
        <button class="act second">{{ __('removal.take') }}</button>
    </form>
</x-layout>
