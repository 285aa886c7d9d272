<?php

declare(strict_types=1);

namespace App\Agreement\Http;

use App\Agreement\Pages\AgreementPage;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

/** Which part of a round's agreement is asked for; a person's role says which there are. */
final class AgreementRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /** The first page where there is no such part, or it is not this person's: a link may come from somebody else. */
    public function part(): string
    {
        $user = $this->user();
        $parts = $user instanceof User && $user->isHeadCoach() ? AgreementPage::PARTS : AgreementPage::OWN_PARTS;
        $asked = $this->query('part');

        return is_string($asked) && in_array($asked, $parts, true) ? $asked : 'overview';
    }
}
