<h2 id="chosen">{{ $chosen['name'] }}</h2>
<x-drill-drawing :drill="$chosen['key']" />
@if($chosen['setUp'])
    <p>{{ $chosen['setUp'] }} {{ implode(' ', $chosen['steps']) }}</p>
@endif
<ul class="reasons">
    @foreach($chosen['reasons'] as $r)
        <li @class(['for' => $r['for'], 'against' => ! $r['for'], 'grave' => $r['grave']])>
            <span class="which">{{ __($r['for'] ? 'prescriptions.for' : 'prescriptions.against') }}</span> {{ $r['says'] }}</li>
    @endforeach
</ul>
<h3>{{ __('prescriptions.expected.title') }}</h3>
@include('lessons.expected')
<form method="post" action="{{ route('prescriptions.update', $prescription) }}" class="plan">
    @csrf
    @method('put')
    @if($asksWhy)
        <div class="field grave">
            <label class="label" for="reason">{{ __('prescriptions.reason') }}</label>
            <textarea class="textarea" id="reason" name="reason" rows="2" maxlength="2000">{{ \App\Http\Old::text('reason', $prescription->reason) }}</textarea>
            <p class="small quiet">{{ __('prescriptions.reason-says') }}</p>
        </div>
    @endif
    <div class="in-columns">
        <x-field name="plan[cue]" id="cue" :label="__('prescriptions.fields.cue')" :value="$plan['cue'] ?? ''" maxlength="120" :hint="__('prescriptions.hints.cue')" />
        <x-field name="plan[image]" id="image" :label="__('prescriptions.fields.image')" :value="$plan['image'] ?? ''" maxlength="200" :hint="__('prescriptions.hints.image')" />
    </div>
    @foreach($cue as $says)
        <p class="notice small">{{ $says }}</p>
    @endforeach
    <div class="in-columns">
        @foreach(array_diff_key($texts, ['cue' => 0, 'image' => 0]) as $name => $most)
            <div class="field">
                <label class="label" for="plan-{{ $name }}">{{ __("prescriptions.fields.$name") }}</label>
                <textarea class="textarea" id="plan-{{ $name }}" name="plan[{{ $name }}]" rows="2"
                    maxlength="{{ $most }}">{{ \App\Http\Old::text("plan.$name", $plan[$name] ?? '') }}</textarea>
            </div>
        @endforeach
        <x-choose name="plan[from]" id="plan-from" :label="__('prescriptions.fields.from')" :of="$rungs" :value="$plan['from'] ?? ''" />
        <x-choose name="plan[to]" id="plan-to" :label="__('prescriptions.fields.to')" :of="$rungs" :value="$plan['to'] ?? ''" />
        <x-field name="plan[speed]" id="plan-speed" :label="__('prescriptions.fields.speed')" :value="$plan['speed'] ?? 60" inputmode="numeric" required />
        <x-choose name="plan[ball]" id="plan-ball" :label="__('prescriptions.fields.ball')" :of="$balls" :value="$plan['ball'] ?? ''" />
        <x-field name="until" :label="__('prescriptions.fields.until')" type="date" :value="$prescription->until?->toDateString()" />
        <x-field name="next_on" :label="__('prescriptions.fields.next')" type="date" :value="$prescription->next_on?->toDateString()" />
    </div>
    @if($still)
        <h3>{{ __('prescriptions.still') }}</h3>
        <p class="small quiet">{{ __('prescriptions.still-says') }}</p>
        <div class="still-lines" data-lines>
            @include('lessons.still', ['still' => $still])
            <input type="hidden" name="lines" value="{{ json_encode($lines) }}">
            <p><button type="button" class="plain" data-back disabled>{{ __('prescriptions.line-back') }}</button></p>
        </div>
    @endif
    <p class="ways">
        <button class="act second">{{ __('prescriptions.keep') }}</button>
        <button class="act" name="hand_over" value="1">{{ __('prescriptions.hand-over') }}</button>
        <span class="small quiet">{{ __('prescriptions.hand-over-says') }}</span>
    </p>
</form>
