<x-layout :title="__('import.batch.page')">
    <p class="small"><a href="{{ route('shelf') }}">{{ __('shelf.page') }}</a></p>
    <h1>{{ $title }}</h1>
    <p class="quiet about">{{ __('import.batch.about') }}</p>
    <form method="post" action="{{ route('batches.finish', $batch) }}" data-batch>
        @csrf
        <div class="in-line" data-all>
            <span class="small quiet">{{ __('import.batch.all') }}</span>
            <input class="input" data-all-of="club" aria-label="{{ __('facts.club') }}"
                placeholder="{{ __('facts.club') }}" maxlength="40">
            <input class="input" data-all-of="shape" aria-label="{{ __('facts.shape') }}"
                placeholder="{{ __('facts.shape') }}" maxlength="40">
            <input class="input" data-all-of="series" aria-label="{{ __('facts.series') }}"
                placeholder="{{ __('facts.series') }}" maxlength="60">
            <button type="button" class="act second" data-fill>{{ __('import.batch.fill') }}</button>
        </div>
        <x-scroll>
            <table class="rows batch">
                <thead>
                    <tr>
                        <th>{{ __('import.batch.file') }}</th>
                        @foreach(['golfer', 'club', 'kind', 'shape', 'series', 'place'] as $head)
                            <th>{{ __('import.batch.heads.'.$head) }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach($rows as $row)
                        <tr @class(['wrong' => $row['problem']])>
                            <td>
                                <a href="{{ route('imports.show', $row['id']) }}">{{ $row['name'] }}</a>
                                <span class="small under quiet">{{ $row['problem'] ?? $row['says'] }}</span>
                            </td>
                            <td>
                                <div class="select is-small">
                                    <select name="rows[{{ $row['id'] }}][golfer]"
                                        aria-label="{{ __('import.batch.of', [
                                            'what' => __('import.batch.heads.golfer'), 'file' => $row['name'],
                                        ]) }}">
                                        @foreach($golfers as $id => $name)
                                            <option value="{{ $id }}"
                                                @selected($row['golfer'] === $id)>{{ $name }}</option>
                                        @endforeach
                                    </select>
                                </div>
                            </td>
                            <td><input class="input is-small" name="rows[{{ $row['id'] }}][club]" data-of="club"
                                value="{{ $row['club'] }}" maxlength="40"
                                aria-label="{{ __('import.batch.of', [
                                    'what' => __('facts.club'), 'file' => $row['name'],
                                ]) }}"></td>
                            <td>
                                <div class="select is-small">
                                    <select name="rows[{{ $row['id'] }}][swing]"
                                        aria-label="{{ __('import.batch.of', [
                                            'what' => __('facts.kind'), 'file' => $row['name'],
                                        ]) }}">
                                        @foreach($kinds as $kind => $word)
                                            <option value="{{ $kind }}"
                                                @selected($row['swing'] === $kind)>{{ $word }}</option>
                                        @endforeach
                                    </select>
                                </div>
                            </td>
                            @foreach(['shape' => 40, 'series' => 60, 'place' => 3] as $field => $length)
                                <td><input class="input is-small" name="rows[{{ $row['id'] }}][{{ $field }}]"
                                    data-of="{{ $field }}" value="{{ $row[$field] }}" maxlength="{{ $length }}"
                                    aria-label="{{ __('import.batch.of', [
                                        'what' => __('facts.'.$field), 'file' => $row['name'],
                                    ]) }}"></td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        <div class="ways below">
            @if($ready)
                <button class="act">{{ trans_choice('import.batch.keep', $ready, ['count' => $ready]) }}</button>
            @endif
            <button class="act second" formaction="{{ route('batches.update', $batch) }}" name="_method"
                value="put">{{ __('import.batch.look-again') }}</button>
        </div>
    </form>
    <script type="module" src="@part('js/shelf/batch.js')"></script>
</x-layout>
