<?php

declare(strict_types=1);

namespace App\Lessons\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** Balls of a session, from a file. */
final class BallsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['balls' => ['required', 'file', 'max:256']];
    }

    public function sent(): UploadedFile
    {
        $file = $this->file('balls');

        return $file instanceof UploadedFile ? $file : abort(422);
    }
}
