<h2 class="first">{{ __('plan.check.title') }}</h2>
<ul class="expected" data-check aria-live="polite"></ul>
<p class="small quiet">{{ __('plan.check.then') }}</p>
<button class="act">{{ __('plan.keep') }}</button>
