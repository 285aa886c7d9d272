<x-layout :title="__('readiness.page')">
    <h1>{{ __($head ? 'readiness.title' : 'readiness.own-title') }}</h1>
    <p class="words">{{ __($head ? 'readiness.says' : 'readiness.own-says') }}</p>
    <x-notices />
    @if($head)
        @if($asked)
            <h2>{{ __('readiness.asked') }}</h2>
            <ul>
                @foreach($asked as $one)
                    <li><a href="{{ $one['url'] }}">{{ __('readiness.ask-line', $one) }}</a></li>
                @endforeach
            </ul>
        @endif
    @endif
    @if($rules)
        <x-scroll :label="__('readiness.title')">
            <table class="rows standings">
                <thead>
                    <tr>
                        <th>{{ __('readiness.person') }}</th>
                        @foreach($rules as $rule)
                            <th>
                                @if($head)
                                    <a href="{{ $rule['url'] }}">{{ $rule['name'] }}</a>
                                @else
                                    {{ $rule['name'] }}
                                @endif
                                <span class="small quiet">{{ $rule['about'] }}</span>
                            </th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach($rows as $row)
                        <tr>
                            <th scope="row">{{ $row['name'] }}</th>
                            @foreach($row['cells'] as $cell)
                                <td><a class="standing is-{{ $cell['state'] }}" href="{{ $cell['url'] }}"
                                    aria-label="{{ $cell['label'] }}: {{ $cell['says'] }}">{{ $cell['says'] }}</a>
                                    @if($cell['also'])
                                        <span class="small">{{ $cell['also'] }}</span>
                                    @endif
                                </td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    @else
        <p class="quiet">{{ __('readiness.no-rules') }}</p>
    @endif
    @if($head)
        <p class="ways below"><a class="act second" href="{{ route('readiness.rules.create') }}">{{ __('readiness.new') }}</a>
            <a class="act second" href="{{ route('checks') }}">{{ __('readiness.checks.page') }}</a></p>
    @endif
</x-layout>
