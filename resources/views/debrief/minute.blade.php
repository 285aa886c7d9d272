{{-- What minutes say of one case but for how it was voted on. Expects $c. --}}
<h2>{{ $c['name'] }}</h2>
<p class="small quiet">{{ $c['shown'] }}</p>
@if($c['notes'] !== '')
    <p class="words">{{ $c['notes'] }}</p>
@endif
