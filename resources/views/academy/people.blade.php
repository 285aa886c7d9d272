<x-layout :title="__('people.page')">
    <h1>{{ trans_choice('people.title', $pages->total(), ['count' => $pages->total()]) }}</h1>
    @if($owing)
        <p class="quiet about">{{ trans_choice('people.owing', $owing, ['count' => $owing]) }}</p>
    @endif
    <form method="get" class="filter">
        <div>
            <label class="small quiet" for="f-find">{{ __('people.find') }}</label>
            <input class="input" id="f-find" type="search" name="find" maxlength="80" value="{{ $filter['find'] }}">
        </div>
        @if($groups->isNotEmpty())
            <div>
                <label class="small quiet" for="f-group">{{ __('people.group') }}</label>
                <div class="select">
                    <select id="f-group" name="group">
                        <option value="">{{ __('people.any-group') }}</option>
                        @foreach($groups as $group)
                            <option value="{{ $group->id }}"
                                @selected($filter['group'] === $group->id)>{{ $group->name }}</option>
                        @endforeach
                    </select>
                </div>
            </div>
        @endif
        <label class="tick">
            <input type="checkbox" name="gone" value="1" @checked($filter['gone'])> {{ __('people.gone') }}
        </label>
        <button class="act second">{{ __('people.show') }}</button>
    </form>
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    @foreach(['name', 'place', 'groups', 'waits', 'factor', 'seen', 'state'] as $head)
                        <th>{{ __('people.heads.'.$head) }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($people as $p)
                    <tr @class(['quiet' => $p['quiet']])>
                        <td>
                            @if($groups->isNotEmpty())
                                <input type="checkbox" form="several" name="people[]" value="{{ $p['id'] }}"
                                    aria-label="{{ __('people.tick', ['name' => $p['name']]) }}">
                            @endif
                            <a href="{{ route('people.show', $p['id']) }}">{{ $p['name'] }}</a>
                            <span class="quiet small under">{{ $p['email'] }}</span>
                        </td>
                        <td>{{ $p['place'] }}</td>
                        <td>{{ $p['groups'] }}</td>
                        <td>{{ $p['waits'] }}</td>
                        <td>{{ __($p['factor'] ? 'people.has-factor' : 'people.no-factor') }}</td>
                        <td class="quiet">{{ $p['seen'] }}</td>
                        <td>{{ $p['state'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    <x-pages :pages="$pages" words="people.pages" />
    @if($groups->isNotEmpty())
        <form method="post" action="{{ route('people.groups') }}" id="several" class="in-line below">
            @csrf
            <span class="small quiet">{{ __('people.ticked') }}</span>
            <div class="select">
                <select name="into" aria-label="{{ __('people.group') }}">
                    @foreach($groups as $group)
                        <option value="{{ $group->id }}">{{ $group->name }}</option>
                    @endforeach
                </select>
            </div>
            <button class="act second" name="do" value="in">{{ __('people.into') }}</button>
            <button class="act second" name="do" value="out">{{ __('people.out-of') }}</button>
        </form>
    @endif
    <h2>{{ __('people.invite.title') }}</h2>
    <p class="small quiet">{{ __('people.invite.says') }}</p>
    <form method="post" action="{{ route('people.invite') }}" class="person-form">
        @csrf
        <div class="in-columns">
            <x-field name="name" :label="__('people.name')" required maxlength="120" />
            <x-field name="email" :label="__('people.address')" type="email" required autocomplete="off" />
            <x-choose name="role" :label="__('people.role')" :of="__('people.roles')" value="instructor" />
        </div>
        @include('academy.place', ['onPanel' => false, 'in' => []])
        <button class="act">{{ __('people.invite.act') }}</button>
    </form>
</x-layout>
