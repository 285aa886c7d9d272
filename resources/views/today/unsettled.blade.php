<tr>
    <td><a href="{{ route('bench', $e->recording) }}">{{ $e->recording->golfer->pseudonym }}, {{ $e->recording->club }}</a></td>
    <td>{{ $codebook->faults[$e->fault]->name }}</td>
    <td class="num">{{ __('today.key.spread', ['present' => $e->present, 'absent' => $e->absent]) }}</td>
    <td><x-grade :grade="$e->grade" /></td>
    <td class="small quiet">@said($e->measured()->why, ['fault' => $codebook->faults[$e->fault]->name])</td>
    <td>
        <a href="{{ route('panel', [$e->keyVersion->sitting, 'entry' => $e->id]) }}#e{{ $e->id }}">
            {{ __($e->grade === 'conflict' ? 'today.key.rule' : 'today.key.look') }}
        </a>
    </td>
</tr>
