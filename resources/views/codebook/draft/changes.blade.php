<section aria-labelledby="changes">
    <h2 id="changes">
        {{ $changes ? trans_choice('draft.changes.count', count($changes), ['count' => count($changes)]) : __('draft.changes.title') }}
    </h2>
    @if(! $changes)
        <p class="quiet">{{ __('draft.changes.none') }}</p>
    @else
        <x-scroll>
            <table class="rows draft-changes">
                <thead>
                    <tr>
                        <th>{{ __('draft.changes.what') }}</th>
                        <th>{{ __('draft.changes.was', ['version' => $basedOn]) }}</th>
                        <th>{{ __('draft.changes.is') }}</th>
                    </tr>
                </thead>
                @foreach($changes as $row)
                    <tbody>
                        <tr class="apart">
                            <th colspan="3" scope="rowgroup"><div class="row-head">
                                @if($row['url'])
                                    <a href="{{ $row['url'] }}">{{ $row['name'] }}</a>
                                @else
                                    {{ $row['name'] }}
                                @endif
                                <form method="post" class="row-back"
                                    action="{{ route('codebook.draft.back', [$row['part'], $row['key']]) }}">
                                    @csrf
                                    <button class="plain small">{{ __('draft.back') }}</button>
                                </form>
                            </div></th>
                        </tr>
                        @foreach($row['lines'] as $line)
                            <tr>
                                <td>{{ $line['what'] }}</td>
                                <td class="quiet">{{ $line['was'] }}</td>
                                <td>{{ $line['is'] }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                @endforeach
            </table>
        </x-scroll>
    @endif
    <h2>{{ __('draft.checks.title') }}</h2>
    @if($defects)
        <div class="notice refused">
            <p>{{ trans_choice('draft.checks.fail', count($defects), ['count' => count($defects)]) }}</p>
            <ul>
                @foreach($defects as $defect)
                    <li>{{ $defect }}</li>
                @endforeach
            </ul>
        </div>
    @else
        <p>{{ __('draft.checks.pass') }}</p>
    @endif
</section>
