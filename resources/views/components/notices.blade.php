@if(session('done'))<p class="notice" role="status">{{ session('done') }}</p>@endif
@if(session('refused'))<p class="notice refused" role="alert">{{ session('refused') }}</p>@endif
@if(isset($errors) && $errors->any())
    <div class="notice refused" role="alert">@foreach($errors->all() as $error)<p>{{ $error }}</p>@endforeach</div>
@endif
