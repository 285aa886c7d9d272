<section class="ballot" aria-label="{{ __('debrief.votes.title') }}">
    <h2>{{ $vote['asks'] }}</h2>
    <p class="big">{{ $vote['stage'] }}: {{ trans_choice('debrief.votes.voted', $vote['voted'], [
        'count' => $vote['voted'], 'of' => $joined,
    ]) }}</p>
    @include('debrief.vote.results')
</section>
