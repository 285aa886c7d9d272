<h2>{{ __('import.columns') }}</h2>
@if($mappedAsBefore)
    <p class="small quiet">{{ __('import.mapped-as-before') }}</p>
@endif
<div class="pair">
    <div>
        <label class="label" for="device">{{ __('import.device') }}</label>
        <div class="select is-fullwidth">
            <select id="device" name="device">
                @foreach($devices as $device => $name)
                    <option value="{{ $device }}" @selected($fields['device']['value'] === $device)>{{ $name }}</option>
                @endforeach
            </select>
        </div>
    </div>
    <div>
        <label class="label" for="device_name">{{ __('import.device-name') }}</label>
        <input class="input" id="device_name" name="device_name" maxlength="120"
            value="{{ $fields['device_name']['value'] }}">
    </div>
</div>
<table class="rows">
    <thead>
        <tr>
            <th>{{ __('import.channel') }}</th>
            <th>{{ __('import.column') }}</th>
            <th>{{ __('import.unit') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach($columns as $c)
            <tr>
                <td><label for="c-{{ $c['channel'] }}">{{ $c['channel'] }}</label></td>
                <td>
                    <div class="select is-small is-fullwidth">
                        <select id="c-{{ $c['channel'] }}" name="columns[{{ $c['channel'] }}]">
                            <option value="">–</option>
                            @foreach($header as $h)
                                <option value="{{ $h }}" @selected($c['column'] === $h)>{{ $h }}</option>
                            @endforeach
                        </select>
                    </div>
                </td>
                <td>
                    <div class="select is-small">
                        <select name="units[{{ $c['channel'] }}]"
                            aria-label="{{ __('import.unit-of', ['channel' => $c['channel']]) }}">
                            @foreach($c['units'] as $unit)
                                <option @selected($c['unit'] === $unit)>{{ $unit }}</option>
                            @endforeach
                        </select>
                    </div>
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
