<?php

declare(strict_types=1);

namespace App\Academy;

use App\Models\Academy;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** A short letter in plain text: one of lang/en/letters.php, under the academy's head. */
final class Letter extends Mailable
{
    /** @param  array<string, string>  $with */
    public function __construct(private readonly string $line, private readonly array $with = [])
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->says('subject'));
    }

    public function content(): Content
    {
        return new Content(text: 'academy.letter', with: [
            'says' => $this->says('body'),
            'academy' => $this->academy(),
            'letterhead' => Academy::here()->letterhead ?? '',
        ]);
    }

    private function says(string $part): string
    {
        return (string) __("letters.$this->line.$part", [...$this->with, 'academy' => $this->academy()]);
    }

    private function academy(): string
    {
        return Academy::here()->name ?? (string) __('places.product');
    }
}
