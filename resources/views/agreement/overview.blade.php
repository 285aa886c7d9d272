<div class="tiles">
    @foreach($tiles as $tile)
        <div @class(['first' => $loop->first])><b>{{ $tile['value'] }}</b>{{ $tile['label'] }}
            <span class="small quiet">{{ $tile['these'] }}</span>
            @if($tile['like'])
                <span class="small quiet">{{ $tile['like'] }}</span>
            @endif
        </div>
    @endforeach
</div>
@if($few)
    <p class="few">{{ $few }}</p>
@endif
<p class="small quiet">{{ $readers }} {{ __('agreement.kappa') }}</p>
<x-terms :of="['agreement-beyond-chance', 'interval']" />
@if($compared)
    <p class="compared">
        <b>{{ $compared['since'] }}</b>, {{ $compared['says'] }}
    </p>
    @if($compared['scale'])
        <p class="compared">{{ $compared['scale'] }}</p>
    @endif
@endif
<x-forest :broad="$broad" :slim="$slim" :finding="$finding" :says="__('agreement.forest-says')" />
@include('agreement.legend')
@if($people)
    @include('agreement.people-table')
@endif
@if($look)
    <h2>{{ __('agreement.look.title') }}</h2>
    <div class="suggested">
        @foreach($look as $list)
            <table class="rows">
                <thead><tr><th colspan="2">{{ $list['title'] }}</th></tr></thead>
                <tbody>
                    @foreach($list['lines'] as $line)
                        <tr>
                            <td><a href="{{ $line['url'] }}">{{ $line['name'] }}</a></td>
                            <td class="num"><x-figure-value :figure="$line['figure']"
                                :percent="$line['percent']" /></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endforeach
    </div>
@endif
@if($pairs)
    <h2>{{ __('agreement.pairs.colleagues') }}</h2>
    <table class="rows slim">
        <thead>
            <tr>
                <th></th>
                <th class="num">{{ __('agreement.table.common') }}</th>
                <th>{{ __('agreement.table.same') }}</th>
                <th>{{ __('agreement.table.kappa') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($pairs as $pair)
                <tr>
                    <td>{{ __('agreement.colleague') }}</td>
                    <td class="num">{{ $pair['n'] }}</td>
                    <td>{{ $pair['same'] }}</td>
                    <td><x-figure-value :figure="$pair['kappa']" /></td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
