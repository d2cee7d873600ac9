{{-- One choice that is on or off; `when` is the condition under which it is there. --}}
@props(['label', 'name', 'on' => false, 'when' => null])
<label class="choice" @if ($when) x-show="{{ $when }}" @endif>
    <span>{{ $label }}</span>
    <input type="checkbox" name="{{ $name }}" @checked($on) {{ $attributes }}>
</label>
