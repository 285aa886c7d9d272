{{-- What a person is beside the role: a member of the panel, one of a group. --}}
<label class="line">
    <input type="hidden" name="on_panel" value="0">
    <input type="checkbox" name="on_panel" value="1" @checked(old('on_panel', $onPanel ? '1' : '0') === '1')>
    {{ __('people.sits-on-panel') }}
</label>
@if($groups->isNotEmpty())
    <fieldset class="field">
        <legend class="label">{{ __('people.groups') }}</legend>
        @foreach($groups as $group)
            <label class="tick">
                <input type="checkbox" name="groups[]" value="{{ $group->id }}"
                    @checked(in_array($group->id, (array) old('groups', $in)))>
                {{ $group->name }} <span class="quiet small">{{ __('people.kinds.'.$group->kind->value) }}</span>
            </label>
        @endforeach
    </fieldset>
@endif
