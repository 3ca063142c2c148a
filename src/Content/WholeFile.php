<?php

declare(strict_types=1);

namespace HandGarden\Content;

/** Keeps what was worked out for the next request. Without a place to write it is worked out again. */
final class WholeFile
{
    /** Whole or not at all, also when two requests write the same file. */
    public static function write(string $file, string $content): void
    {
        if (!is_dir(\dirname($file))) {
            @mkdir(\dirname($file), 0o775, true);
        }
        $temporary = $file.'.'.bin2hex(random_bytes(4));
        if (false !== @file_put_contents($temporary, $content)) {
            chmod($temporary, 0o644);
            rename($temporary, $file);
        }
    }
}
