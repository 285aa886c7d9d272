<h2>{{ $finding }}</h2>
@if($differences)
    <div class="suggested">
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('agreement.table.shown') }}</th>
                    @foreach(['cases', 'same', 'ac1'] as $head)
                        <th class="num">{{ __('agreement.table.'.$head) }}</th>
                    @endforeach
                    @if($crossed)
                        <th class="num">{{ __('agreement.table.arm-found') }}</th>
                        <th class="num">{{ __('agreement.table.arm-right') }}</th>
                    @endif
                </tr>
            </thead>
            <tbody>
                @foreach($arms as $arm)
                    <tr>
                        <td>{{ $arm['name'] }}</td>
                        <td class="num">{{ $arm['cases'] }}</td>
                        <td class="num">{{ $arm['same'] }}</td>
                        <td class="num">{{ $arm['ac1'] }}</td>
                        @if($crossed)
                            <td class="num">{{ $arm['found'] }}</td>
                            <td class="num">{{ $arm['right'] }}</td>
                        @endif
                    </tr>
                @endforeach
            </tbody>
        </table>
        @include('agreement.differences')
    </div>
    <p class="small quiet">{{ $says }}</p>
@else
    <p class="words">{{ __('agreement.shown.one-says') }}</p>
@endif
@if($second)
    @include('agreement.second')
@endif
