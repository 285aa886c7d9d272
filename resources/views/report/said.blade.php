@include('report.head')
<p class="said">{{ $says ?: __('report.unsaid') }}</p>
