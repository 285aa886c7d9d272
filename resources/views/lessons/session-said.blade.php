{{-- What is said at the beginning of a session, and what was tried. --}}
<div class="in-columns">
    <x-field name="held_on" :label="__('lessons.held-on')" type="date"
        :value="$lesson?->held_on?->toDateString() ?? $today" required />
    <x-field name="complaint" :label="__('lessons.complaint')" :value="$lesson?->complaint" maxlength="2000" />
    <x-field name="aim" :label="__('lessons.aim')" :value="$lesson?->aim" maxlength="2000" />
    <x-field name="explanation" :label="__('lessons.explanation')" :value="$lesson?->explanation"
        maxlength="2000" />
    <x-field name="traits" :label="__('lessons.traits')" :value="$lesson?->traits" maxlength="2000" />
    <x-field name="tried" :label="__('lessons.tried')" :value="$lesson?->tried" maxlength="2000" />
</div>
<label class="line">
    <input type="hidden" name="asks_feel" value="0">
    <input type="checkbox" name="asks_feel" value="1"
        @checked(old('asks_feel', ($lesson?->asks_feel ?? true) ? '1' : '0') === '1')> {{ __('lessons.asks-feel') }}
</label>
