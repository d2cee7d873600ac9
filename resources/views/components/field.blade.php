@props(['name', 'label', 'type' => 'text', 'value' => null, 'hint' => null])
<div class="field">
    <label for="field-{{ $name }}">{{ $label }}</label>
    <input id="field-{{ $name }}" name="{{ $name }}" type="{{ $type }}"
        value="{{ $type === 'password' ? '' : \App\Http\Given::before($name, $value) }}" @error($name) aria-invalid="true"
        aria-describedby="error-{{ $name }}" @enderror {{ $attributes }}>
    @if ($hint)<small class="hint">{{ $hint }}</small>@endif
    @error($name)<p class="error" id="error-{{ $name }}" role="alert">{{ $message }}</p>@enderror
</div>
