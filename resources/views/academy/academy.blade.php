<x-layout :title="__('academy.page')">
    <h1>{{ $academy->name ?: __('academy.page') }}</h1>
    <form method="post" action="{{ route('academy.update') }}" class="person-form">
        @csrf
        @method('put')
        <div class="in-columns">
            <x-field name="name" :label="__('academy.name')" :value="$academy->name" required maxlength="120" />
            <x-choose name="zone" :label="__('academy.zone')" :of="array_combine($zones, $zones)"
                :value="$academy->zone" />
        </div>
        <div class="field">
            <label class="label" for="letterhead">{{ __('academy.letterhead') }}</label>
            <textarea class="textarea" id="letterhead" name="letterhead" rows="3" maxlength="600"
                aria-describedby="letterhead-hint"
                >{{ \App\Http\Old::text('letterhead', $academy->letterhead) }}</textarea>
            <p class="small quiet" id="letterhead-hint">{{ __('academy.letterhead-hint') }}</p>
        </div>
        <button class="act">{{ __('academy.keep') }}</button>
    </form>
    <p class="below"><a href="{{ route('academy.letters') }}">{{ __('academy.letters.page') }}</a></p>
    <p><a href="{{ route('retention') }}">{{ __('erasure.page') }}</a></p>
    <h2>{{ __('academy.groups.title') }}</h2>
    <p class="small quiet">{{ __('academy.groups.says') }}</p>
    <ul class="groups">
        @foreach($groups as $group)
            <li>
                <form method="post" action="{{ route('academy.groups.update', $group) }}" class="in-line">
                    @csrf
                    <div class="select">
                        <select name="kind" aria-label="{{ __('academy.groups.kind') }}">
                            @foreach(__('people.kinds') as $kind => $word)
                                <option value="{{ $kind }}"
                                    @selected($group->kind->value === $kind)>{{ $word }}</option>
                            @endforeach
                        </select>
                    </div>
                    <input class="input" name="name" value="{{ $group->name }}" required maxlength="60"
                        aria-label="{{ __('academy.groups.name') }}">
                    <span class="quiet small">{{ trans_choice('academy.groups.people', $group->people_count) }}</span>
                    <button class="act second" name="_method" value="put">{{ __('academy.keep') }}</button>
                    <button class="plain" name="_method" value="delete">{{ __('academy.groups.drop') }}</button>
                </form>
            </li>
        @endforeach
    </ul>
    <form method="post" action="{{ route('academy.groups.store') }}" class="in-line">
        @csrf
        <div class="select">
            <select name="kind" aria-label="{{ __('academy.groups.kind') }}">
                @foreach(__('people.kinds') as $kind => $word)
                    <option value="{{ $kind }}">{{ $word }}</option>
                @endforeach
            </select>
        </div>
        <input class="input" name="name" required maxlength="60" aria-label="{{ __('academy.groups.name') }}"
            placeholder="{{ __('academy.groups.name') }}">
        <button class="act second">{{ __('academy.groups.add') }}</button>
    </form>
    <h2>{{ __('academy.house.title') }}</h2>
    @if($academy->moved_in)
        <p class="words">{{ __('academy.house.came') }}</p>
    @endif
    <p class="words">{{ __('academy.house.says') }}</p>
    <pre class="command">php artisan archive:export house.zip --whole</pre>
    <p class="words">{{ __('academy.house.then') }}</p>
    <pre class="command">bin/start --empty
php artisan archive:import house.zip</pre>
    @if($academy->is_sample)
        <h2>{{ __('academy.sample.title') }}</h2>
        <p class="words">{{ __('academy.sample.says', ['name' => $academy->name]) }}</p>
        <form method="post" action="{{ route('academy.clear') }}" class="narrow">
            @csrf
            @method('delete')
            <x-field name="typed" :label="__('academy.sample.typed', ['name' => $academy->name])" required
                autocomplete="off" />
            <button class="act second">{{ __('academy.sample.act') }}</button>
        </form>
    @endif
</x-layout>
