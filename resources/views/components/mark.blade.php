@props(['size' => 26])
<svg width="{{ $size }}" height="{{ $size }}" viewBox="0 0 26 26" fill="none" stroke="var(--aubergine)" stroke-width="1.8"
    stroke-linecap="round" aria-hidden="true"><path d="M13 24V13M13 13L4 7M13 13L9 4M13 13L17 4M13 13L22 7"/><g fill="var(--aubergine)"
    stroke="none"><circle cx="4" cy="6.6" r="2.3"/><circle cx="9" cy="3.4" r="2.3"/><circle cx="17" cy="3.4" r="2.3"/><circle cx="22"
    cy="6.6" r="2.3"/></g></svg>
