<div id="e{{ $e['id'] }}" class="decision">
    <p>
        <x-grade :grade="$e['grade']" /> <b>{{ $e['fault'] }}</b> {{ __('panel.in') }}
        <x-way :url="$e['url']" :word="$e['swing']" />
        · <span class="call present">{{ __('panel.spread.present', ['n' => $e['present']]) }}</span> &nbsp;
        <span class="call absent">{{ __('panel.spread.absent', ['n' => $e['absent']]) }}</span> &nbsp;
        <span class="call cannot-tell">{{ __('panel.spread.cannot-tell', ['n' => $e['unsure']]) }}</span>
    </p>
    <p class="small quiet">{{ implode(' · ', $e['says']) }}</p>
    @isset($sides[$e['side']])
        <p class="small"><b>{{ ucfirst(__('panel.lenses.differ')) }}.</b>
            @foreach($sides[$e['side']] as $line)
                <span class="quiet">{{ $line }}</span>
            @endforeach
        </p>
    @endisset
    @if($e['curves'])
        <details class="conflict-look" data-why="{{ $e['curves'] }}">
            <summary>{{ __('panel.look') }}</summary>
            <div class="both">
                <div data-curves></div>
                @foreach($e['moment'] as $still)
                    <figure>
                        <img src="{{ $still['url'] }}" alt="{{ $still['says'] }}" loading="lazy">
                        <figcaption class="small quiet">{{ $still['says'] }}</figcaption>
                    </figure>
                @endforeach
            </div>
        </details>
    @endif
    @if($e['ruled'])
        <p>{{ $e['ruled'] }}</p>
    @elseif($e['rule'])
        @foreach($e['effects'] as $line)
            <p class="small">{{ $line }}</p>
        @endforeach
        <form method="post" action="{{ $e['rule'] }}" class="ruling">
            @csrf
            <div>
                <label class="small quiet" for="r{{ $e['id'] }}">{{ __('panel.ruling') }}</label>
                <div class="select">
                    <select id="r{{ $e['id'] }}" name="ruling">
                        @foreach(__('panel.choices') as $value => $word)
                            <option value="{{ $value }}">{{ $word }}</option>
                        @endforeach
                    </select>
                </div>
            </div>
            <div class="reason">
                <label class="small quiet" for="w{{ $e['id'] }}">{{ __('panel.reason') }}</label>
                <input class="input" id="w{{ $e['id'] }}" name="reason" minlength="10" maxlength="2000" required>
            </div>
            <button class="act second">{{ __('panel.rule') }}</button>
        </form>
    @endif
</div>
