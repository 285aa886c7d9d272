@props(['grade'])
<span class="grade {{ str_replace(' ', '-', $grade) }}" title="{{ \Core\Consensus\Grade::from($grade)->says() }}">{{ $grade }}</span>
