@foreach($outside as $value => $name)
    <option value="{{ $value }}">{{ $name }}</option>
@endforeach
