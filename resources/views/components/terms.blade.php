{{-- Words of the glossary that a part of a page uses, each explained where it stands. $of: their keys. --}}
@props(['of'])
<p class="small quiet terms">
    {{ __('figures.words-here') }}
    @foreach($of as $key)
        <x-term :of="$key">{{ app(\App\Words\Glossary::class)->of($key)['word'] }}</x-term>
    @endforeach
</p>
