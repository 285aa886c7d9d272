<h2>{{ __('report.heads.'.$section) }} <span class="answers">{{ $answers[$section] }}</span></h2>
