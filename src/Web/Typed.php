<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Symfony\Component\HttpFoundation\Request;

/** What somebody typed, to be shown again as it was. */
final class Typed
{
    /** @return array<array-key, string> by field; what is no text is not what a person typed */
    public static function texts(Request $request): array
    {
        return array_filter($request->request->all(), \is_string(...));
    }
}
