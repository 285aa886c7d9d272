<?php

declare(strict_types=1);

namespace App\Agreement\Http;

use App\Agreement\Pages\AgreementPage;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Which part of a round's agreement is asked for; a person's role says which there are. */
final class AgreementRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->user();
        $open = $user instanceof User && $user->isHeadCoach();

        return ['part' => ['nullable', 'string', Rule::in($open ? AgreementPage::PARTS : AgreementPage::OWN_PARTS)]];
    }

    public function part(): string
    {
        return $this->string('part')->value() ?: 'overview';
    }
}
