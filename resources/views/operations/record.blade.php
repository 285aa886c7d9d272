<x-layout :title="__('record.page')">
    <h1>{{ __('record.title') }}</h1>
    <form method="get" class="filter">
        <div>
            <label class="small quiet" for="f-action">{{ __('record.fields.action') }}</label>
            <div class="select">
                <select id="f-action" name="action">
                    <option value="">{{ __('record.any-action') }}</option>
                    @foreach($actions as $code => $word)
                        <option value="{{ $code }}" @selected(($filter['action'] ?? '') === $code)>{{ $word }}</option>
                    @endforeach
                </select>
            </div>
        </div>
        <div>
            <label class="small quiet" for="f-who">{{ __('record.fields.who') }}</label>
            <div class="select">
                <select id="f-who" name="who">
                    <option value="">{{ __('record.anybody') }}</option>
                    @foreach($people as $id => $name)
                        <option value="{{ $id }}"
                            @selected(($filter['who'] ?? '') === (string) $id)>{{ $name }}</option>
                    @endforeach
                </select>
            </div>
        </div>
        @foreach(['from', 'to'] as $end)
            <div>
                <label class="small quiet" for="f-{{ $end }}">{{ __('record.fields.'.$end) }}</label>
                <input class="input" id="f-{{ $end }}" type="date" name="{{ $end }}" value="{{ $filter[$end] ?? '' }}">
            </div>
        @endforeach
        <button class="act second">{{ __('record.show') }}</button>
        @if($filter)
            <a class="all" href="{{ route('record') }}">{{ __('record.all') }}</a>
        @endif
        <a class="all" href="{{ route('record.export', $filter) }}">{{ __('record.export') }}</a>
    </form>
    @if($days === [])
        <p class="words">{{ __($filter ? 'record.nothing-fits' : 'record.empty') }}</p>
    @endif
    @foreach($days as $day => $entries)
        <h2 class="day">{{ $day }}</h2>
        <table class="rows record">
            <colgroup><col class="time"><col class="who"><col class="did"><col><col></colgroup>
            <thead class="only-heard">
                <tr>
                    @foreach(['time', 'who', 'did', 'on', 'details'] as $head)
                        <th>{{ __('record.heads.'.$head) }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($entries as $entry)
                    <tr>
                        <td class="quiet">{{ $entry->time }}</td>
                        <td>{{ $entry->who }}</td>
                        <td>{{ $entry->did }}</td>
                        <td>
                            @if($entry->url)
                                <a href="{{ $entry->url }}">{{ $entry->on }}</a>
                            @else
                                {{ $entry->on }}
                            @endif
                        </td>
                        <td class="small quiet">{{ implode(' · ', $entry->details) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endforeach
    <x-pages :pages="$pages" words="record.pages" />
</x-layout>
