<x-layout :title="__('account.page')">
    <h1>{{ $user->name }}</h1>
    <p class="quiet about">{{ implode(' · ', array_filter([$place, $groups, $user->email])) }}</p>
    @if($user->golfer_id)
        <p class="below"><a href="{{ route('own') }}">{{ __('own.page') }}</a></p>
    @endif
    <p class="below"><a href="{{ route('notices') }}">{{ __('told.page') }}</a></p>
    <div class="account">
        <section>
            <h2>{{ __('account.name.title') }}</h2>
            <form method="post" action="{{ route('account.update') }}">
                @csrf
                @method('put')
                <x-field name="name" :label="__('account.name.label')" :value="$user->name" required maxlength="120"
                    autocomplete="name" :hint="__('account.name.hint')" />
                <button class="act second">{{ __('account.keep') }}</button>
            </form>
        </section>
        <section>
            <h2>{{ __('account.factor.title') }}</h2>
            <p>{{ $factor ? __('account.factor.since', ['date' => $factor]) : __('account.factor.none') }}</p>
            <p class="below"><a class="act second" href="{{ route('account.factor') }}">
                {{ __($factor ? 'account.factor.look' : 'account.factor.set-up') }}</a></p>
        </section>
        <section>
            <h2>{{ __('account.password.title') }}</h2>
            <form method="post" action="{{ route('account.password') }}">
                @csrf
                @method('put')
                <x-field name="current" :label="__('account.password.current')" type="password"
                    autocomplete="current-password" required />
                <x-new-password />
                <button class="act second">{{ __('account.password.act') }}</button>
            </form>
        </section>
        <section>
            <h2>{{ __('account.address.title') }}</h2>
            <p class="small quiet">{{ __('account.address.says') }}</p>
            <form method="post" action="{{ route('account.address') }}">
                @csrf
                <x-field name="email" :label="__('account.address.new')" type="email" required autocomplete="off" />
                <x-field name="current_for_address" :label="__('account.password.current')" type="password"
                    autocomplete="current-password" required />
                <button class="act second">{{ __('account.address.act') }}</button>
            </form>
        </section>
    </div>
    <h2>{{ __('account.sessions.title') }}</h2>
    <table class="rows mid">
        <thead>
            <tr>
                @foreach(['with', 'from', 'at'] as $head)
                    <th>{{ __('account.sessions.'.$head) }}</th>
                @endforeach
                <th></th>
            </tr>
        </thead>
        <tbody>
            @foreach($sessions as $s)
                <tr>
                    <td>{{ $s['with'] }}</td>
                    <td>{{ $s['address'] }}</td>
                    <td class="quiet">{{ $s['at'] }}</td>
                    <td class="num">
                        @if($s['here'])
                            {{ __('account.sessions.here') }}
                        @else
                            <form method="post" action="{{ route('account.sessions.end', $s['id']) }}">
                                @csrf
                                @method('delete')
                                <button class="plain">{{ __('account.sessions.end') }}</button>
                            </form>
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if(count($sessions) > 1)
        <form method="post" action="{{ route('account.sessions.end', 'others') }}" class="below">
            @csrf
            @method('delete')
            <button class="act second">{{ __('account.sessions.end-others') }}</button>
        </form>
    @endif
    @if($tried)
        <details class="below">
            <summary>{{ __('account.tried.title') }}</summary>
            <table class="rows mid">
                <thead>
                    <tr>
                        <th>{{ __('account.tried.at') }}</th>
                        <th>{{ __('account.sessions.with') }}</th>
                        <th>{{ __('account.sessions.from') }}</th>
                        <th>{{ __('account.tried.what') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($tried as $t)
                        <tr>
                            <td class="quiet">{{ $t['at'] }}</td>
                            <td>{{ $t['with'] }}</td>
                            <td>{{ $t['from'] }}</td>
                            <td>@if($t['failed'])<b>{{ $t['what'] }}</b>@else{{ $t['what'] }}@endif</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </details>
    @endif
    <h2>{{ __('account.data.title') }}</h2>
    <p class="words">{{ __('account.data.says') }}</p>
    <p><a class="act second" href="{{ route('own.data') }}">{{ __('account.data.act') }}</a></p>
    <h2>{{ __('account.leave.title') }}</h2>
    <p class="words">{{ __('account.leave.says') }}</p>
    <form method="post" action="{{ route('account.leave') }}" class="narrow">
        @csrf
        <x-field name="current_to_leave" :label="__('account.password.current')" type="password"
            autocomplete="current-password" required />
        <button class="act second">{{ __('account.leave.act') }}</button>
    </form>
</x-layout>
