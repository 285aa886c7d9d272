<x-layout :title="__('lessons.page')">
    <h1>{{ trans_choice('lessons.count', count($lessons), ['count' => count($lessons)]) }}</h1>
    <p class="words">{{ __($head ? 'lessons.says-head' : 'lessons.says') }}</p>
    @if($lessons)
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('lessons.heads.day') }}</th>
                    <th>{{ __('lessons.heads.golfer') }}</th>
                    @if($head)
                        <th>{{ __('lessons.heads.by') }}</th>
                    @endif
                    <th>{{ __('lessons.heads.aim') }}</th>
                    <th>{{ __('lessons.heads.waits') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($lessons as $l)
                    <tr>
                        <td><a href="{{ $l['url'] }}">{{ $l['day'] }}</a></td>
                        <td>{{ $l['golfer'] }}</td>
                        @if($head)
                            <td>{{ $l['by'] }}</td>
                        @endif
                        <td class="quiet">{{ $l['aim'] }}</td>
                        <td>{{ $l['waits'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if($record)
        <h2>{{ __('lessons.record.title') }}</h2>
        <p class="small quiet">{{ __('lessons.record.says') }}</p>
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('lessons.record.who') }}</th>
                        @foreach(['handed', 'against', 'followed'] as $what)
                            <th class="num">{{ __("lessons.record.$what") }}</th>
                        @endforeach
                        @foreach(__('lessons.record.outcomes') as $word)
                            <th class="num">{{ $word }}</th>
                        @endforeach
                        <th>{{ __('lessons.record.share') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($record as $r)
                        <tr>
                            <th scope="row">{{ $r['name'] }}</th>
                            <td class="num">{{ $r['handed'] }}</td>
                            <td class="num">{{ $r['against'] }}</td>
                            <td class="num">{{ $r['followed'] }}</td>
                            @foreach(array_keys(__('lessons.record.outcomes')) as $outcome)
                                <td class="num">{{ $r['outcomes'][$outcome] }}</td>
                            @endforeach
                            <td>{{ $r['share'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    @endif
</x-layout>
