<svg viewBox="0 0 74 18" aria-hidden="true"><path d="M1 2H73V13{{ collect(range(8, 0))->map(fn ($i) => 'h-2.2l-1.8 -5l-1.8 5h-2.2')->implode('') }}V2Z" fill="currentColor"/></svg>
