<table class="rows seen-faults">
    <thead>
        <tr>
            <th>{{ __('prescriptions.seen.fault') }}</th>
            <th>{{ __('prescriptions.seen.decision') }}</th>
            <th>{{ __('prescriptions.seen.cause') }}</th>
            <th>{{ __('prescriptions.seen.measured') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach($rows as $r)
            <tr>
                <th scope="row"><span class="station-code">{{ $r['station'] }}</span> {{ $r['name'] }}</th>
                <td>
                    <div class="select">
                        <select name="faults[{{ $r['key'] }}]" aria-label="{{ __('prescriptions.seen.what-with', ['fault' => $r['name']]) }}">
                            <option value="">{{ __('prescriptions.seen.not-seen') }}</option>
                            @foreach($decisions as $key => $word)
                                <option value="{{ $key }}" @selected(\App\Http\Old::text("faults.{$r['key']}", $r['decision']) === $key)>{{ __('prescriptions.seen.present', ['decision' => $word]) }}</option>
                            @endforeach
                        </select>
                    </div>
                </td>
                <td><input type="checkbox" name="causes[]" value="{{ $r['key'] }}"
                    aria-label="{{ __('prescriptions.seen.is-cause', ['fault' => $r['name']]) }}"
                    @checked(in_array($r['key'], \App\Http\Old::texts('causes', $causes), true))></td>
                <td class="small quiet">{{ $r['measured'] }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
