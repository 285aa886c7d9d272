<x-layout :title="__('shelf.page')">
    <div class="title-line">
        <h1>{{ $title }}</h1>
        <a href="#add">{{ __('shelf.add') }}</a>
        @if($ended)
            <span class="quiet small">{{ $ended }}</span>
        @endif
    </div>
    <form method="get" class="filter">
        <div>
            <label class="small quiet" for="f-find">{{ __('shelf.find') }}</label>
            <input class="input" id="f-find" name="find" type="search" value="{{ $filter['find'] ?? '' }}">
        </div>
        @foreach($fields as $field)
            <div>
                <label class="small quiet" for="f-{{ $field['name'] }}">{{ $field['label'] }}</label>
                <div class="select">
                    <select id="f-{{ $field['name'] }}" name="{{ $field['name'] }}">
                        @foreach($field['options'] as $option)
                            <option value="{{ $option['value'] }}"
                                @selected($option['on'])>{{ $option['word'] }}</option>
                        @endforeach
                    </select>
                </div>
            </div>
        @endforeach
        <button class="act second">{{ __('shelf.apply') }}</button>
        @if($filter)
            <a class="all" href="{{ route('shelf') }}">{{ __('shelf.all') }}</a>
        @endif
    </form>
    @if($sessions === [])
        <p class="words">{{ $nothing }}</p>
    @else
        <table class="rows sessions">
            <thead>
                <tr>
                    <th>{{ __('shelf.heads.golfer') }}</th>
                    <th>{{ __('shelf.heads.swings') }}</th>
                    <th>{{ __('shelf.heads.consent') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($sessions as $session)
                    <tr>
                        <td>
                            <b>{{ $session->golfer }}</b> <span class="quiet small">{{ $session->about }}</span>
                            <span class="small line">{{ $session->club }}, {{ $session->device }}</span>
                        </td>
                        <td>
                            <ol class="shelf-swings">
                                @foreach($session->swings as $swing)
                                    <li>@include('shelf.swing')</li>
                                @endforeach
                            </ol>
                        </td>
                        <td class="small">{{ $session->consent }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-pages :pages="$pages" />
        <details class="group">
            <summary>{{ __('facts.several') }}</summary>
            <p class="small quiet">{{ __('facts.several-says') }}</p>
            <form method="post" action="{{ route('facts.several') }}" id="several">
                @csrf
                @method('put')
                <div class="in-columns">
                    <x-field id="s-club" name="club" :label="__('facts.club')" maxlength="40" />
                    <x-choose id="s-swing" name="swing" :label="__('facts.kind')" :of="$choices['kinds']"
                        :none="__('facts.unchanged')" />
                    <x-choose id="s-size" name="size" :label="__('facts.size')" :of="$choices['sizes']"
                        :none="__('facts.unchanged')" />
                    <x-choose id="s-ball" name="has_ball" :label="__('facts.has-ball')" :of="$choices['balls']"
                        :none="__('facts.unchanged')" />
                    <x-field id="s-shape" name="shape" :label="__('facts.shape')" maxlength="40" />
                    <x-field id="s-effort" name="effort_pct" :label="__('facts.effort')" inputmode="numeric" />
                    <x-field id="s-series" name="series" :label="__('facts.series')" maxlength="60" />
                </div>
                <button class="act second">{{ __('facts.several-do') }}</button>
            </form>
        </details>
    @endif
    <h2 id="add">{{ __('shelf.import.title') }}</h2>
    <form method="post" action="{{ route('batches.store') }}" enctype="multipart/form-data" class="in-columns">
        @csrf
        <div>
            <label class="label" for="golfer">{{ __('shelf.import.golfer') }}</label>
            <div class="select is-fullwidth">
                <select id="golfer" name="golfer" required>
                    @foreach($golfers as $g)
                        <option value="{{ $g->id }}" @selected(old('golfer') == $g->id)>
                            {{ __('shelf.import.handed', ['golfer' => $g->pseudonym, 'hand' => $g->handedness]) }}
                        </option>
                    @endforeach
                </select>
            </div>
        </div>
        <div>
            <label class="label" for="files">{{ __('shelf.import.files') }}</label>
            <input class="input file" id="files" name="files[]" type="file" required multiple
                accept=".csv,.json,.c3d,text/csv,application/json">
        </div>
        <div class="at-end"><button class="act">{{ __('shelf.import.look') }}</button></div>
    </form>
    <p class="small quiet words">{{ __('shelf.import.says') }}</p>
</x-layout>
