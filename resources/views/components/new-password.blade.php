{{-- A new password, twice. --}}
<x-field name="password" :label="__('account.password.new')" type="password" autocomplete="new-password" required
    minlength="12" :hint="__('account.password.hint')" />
<x-field name="password_confirmation" :label="__('account.password.again')" type="password"
    autocomplete="new-password" required />
