<x-layout :title="__('plans.page')">
    <h1>{{ $title }}</h1>
    @if($late)
        <p><b>{{ $late }}</b></p>
    @endif
    <x-notices />
    <p class="words">{{ __($head ? 'plans.says-head' : 'plans.says-own') }}</p>
    @if($goals)
        <table class="rows goals">
            <thead>
                <tr>
                    @if($head)
                        <th>{{ __('plans.heads.who') }}</th>
                    @endif
                    <th>{{ __('plans.heads.what') }}</th>
                    <th>{{ __('plans.heads.done') }}</th>
                    <th>{{ __('plans.heads.due') }}</th>
                    <th></th>
                </tr>
            </thead>
            <tbody>
                @foreach($goals as $g)
                    <tr @class(['quiet' => $g['isDone']])>
                        @if($head)
                            <th scope="row">{{ $g['who'] }}</th>
                        @endif
                        <td>{{ $g['says'] }}
                            @if($g['by'])
                                <span class="small quiet">{{ __('plans.by', ['by' => $g['by']]) }}</span>
                            @endif
                        </td>
                        <td>
                            @if($g['isDone'])
                                {{ __('plans.is-done') }}
                            @elseif($g['of'] > 1)
                                <x-done :done="$g['done']" :of="$g['of']" /> {{ $g['done'] }}/{{ $g['of'] }}
                            @endif
                        </td>
                        <td>{{ $g['due'] }}
                            @if($g['late'])
                                <b>{{ __('plans.is-late') }}</b>
                            @endif
                        </td>
                        <td>
                            @if($g['ticks'])
                                <form method="post" action="{{ route('plans.done', $g['id']) }}">
                                    @csrf
                                    <button class="plain">{{ __('plans.tick') }}</button>
                                </form>
                            @endif
                            @if(! $g['isDone'] && ($head || ($g['own'] && ! $g['by'])))
                                <form method="post" action="{{ route('plans.drop', $g['id']) }}">
                                    @csrf
                                    @method('delete')
                                    <button class="plain">{{ __('plans.drop') }}</button>
                                </form>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @else
        <p class="quiet">{{ __('plans.none') }}</p>
    @endif
    <h2>{{ __('plans.new') }}</h2>
    <form method="post" action="{{ route('plans.store') }}" class="in-columns">
        @csrf
        @if($head)
            <x-choose name="person" :label="__('plans.heads.who')" :of="$people" :none="__('plans.myself')" />
        @endif
        <x-choose name="kind" :label="__('plans.kind')" :of="$kinds" />
        <x-choose name="fault" :label="__('plans.fault')" :of="$faults" :none="__('plans.any-fault')" />
        <x-field name="amount" :label="__('plans.amount')" :value="20" inputmode="numeric" />
        <x-field name="words" :label="__('plans.words')" maxlength="300" />
        <x-field name="due_on" :label="__('plans.heads.due')" type="date" :value="$due" required />
        <div class="field"><button class="act">{{ __('plans.act') }}</button></div>
    </form>
    <h2>{{ __('plans.hours') }}</h2>
    <p class="small quiet">{{ __('plans.hours-say') }}</p>
    <form method="get" action="{{ route('plans.hours') }}" class="in-columns">
        <x-field name="from" :label="__('plans.from')" type="date" :value="$from" required />
        <x-field name="to" :label="__('plans.to')" type="date" :value="$to" required />
        <div class="field"><button class="act second">{{ __('plans.as-file') }}</button></div>
    </form>
</x-layout>
