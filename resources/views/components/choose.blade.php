{{-- One choice of several: value => what it is called; `when` is the condition under which it is there. --}}
@props(['label', 'name' => null, 'of', 'chosen' => null, 'when' => null])
<label class="choice" @if ($when) x-show="{{ $when }}" @endif>
    <span>{{ $label }}</span>
    <select @if ($name) name="{{ $name }}" @endif {{ $attributes }}>
        @foreach ($of as $value => $called)
            <option value="{{ $value }}" @selected((string) $value === (string) $chosen)>{{ $called }}</option>
        @endforeach
    </select>
</label>
