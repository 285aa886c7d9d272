<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Illuminate\Foundation\Http\FormRequest;

/** A recording to stand beside a fault, and what is to be seen in it. */
final class ExampleRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'recording' => ['required', 'string', 'max:26'],
            'shows' => ['required', 'boolean'],
            'note' => ['required', 'string', 'min:5', 'max:300'],
        ];
    }

    /** What is not in this person's sight is not there. */
    public function recording(User $user, Onlookers $onlookers): Recording
    {
        return $onlookers->of($user)->recordings()
            ->where('public_id', $this->string('recording')->value())
            ->first() ?? abort(404);
    }
}
