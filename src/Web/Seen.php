<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Symfony\Component\HttpFoundation\Request;

/**
 * What a form showed when it was opened, as a mark that comes back with it. When something else is kept by then, who
 * sends the form sees both before anything is replaced.
 */
final class Seen
{
    public const FIELD = '_seen';

    public static function mark(string|int|bool|null ...$shown): string
    {
        return substr(hash('sha256', json_encode($shown, \JSON_THROW_ON_ERROR)), 0, 16);
    }

    /** @param string $now mark of what is kept now; a form without a mark was not opened by anybody */
    public static function isStale(Request $request, string $now): bool
    {
        $seen = $request->request->getString(self::FIELD);

        return '' !== $seen && $seen !== $now;
    }
}
