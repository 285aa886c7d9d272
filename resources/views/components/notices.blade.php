@if(session('done'))
    <div class="notice" role="status">
        <p>{{ session('done') }}</p>
        @if(session('undo'))
            <form method="post" action="{{ route('undo', session('undo')) }}">
                @csrf
                <button class="link">{{ __('facts.undo') }}</button>
            </form>
        @endif
    </div>
@endif
@if(session('refused'))<p class="notice refused" role="alert">{{ session('refused') }}</p>@endif
@if(isset($errors) && $errors->any())
    <div class="notice refused" role="alert">@foreach($errors->all() as $error)<p>{{ $error }}</p>@endforeach</div>
@endif
