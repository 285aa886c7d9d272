{{-- Choosing what to put beside a recording. Expects $of, $label, $candidates. --}}
<form method="get" action="{{ route('bench.beside', $of) }}" class="beside">
    <label for="other">{{ $label }}</label>
    <select id="other" name="other">
        @foreach($candidates as $c)
            <option value="{{ $c['id'] }}" @selected($c['chosen'] ?? false)>{{ $c['name'] }}</option>
        @endforeach
    </select>
    <input type="search" name="find" maxlength="80" placeholder="{{ __('bench.find-beside') }}"
        aria-label="{{ __('bench.find-beside') }}">
    <button class="act second">{{ __('bench.put-beside') }}</button>
</form>
