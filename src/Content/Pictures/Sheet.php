<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

/** Pages of many pictures in rows, to be looked at or printed without anything else. */
final class Sheet
{
    private const STYLE = 'body{margin:8px;font:13px sans-serif;display:grid;grid-template-columns:1fr 1fr}'
        .'body{gap:2px 10px}'
        .'h2{font-size:12px;margin:2px 0}section{border-top:1px solid #ccc}'
        .'div{display:grid;grid-template-columns:repeat(3,1fr);gap:2px}'
        .'figure{margin:0;position:relative;border:1px solid #eee}svg{width:100%;height:auto;display:block}'
        .'b{position:absolute;left:3px;top:1px;font-size:11px;color:#888}';

    /** @param list<string> $pictures SVG of each still */
    public static function row(string $title, array $pictures): string
    {
        $stills = '';
        foreach ($pictures as $nth => $svg) {
            $stills .= \sprintf(
                '<figure><b>%d</b>%s</figure>',
                $nth + 1,
                $svg,
            );
        }

        return \sprintf(
            '<section><h2>%s</h2><div>%s</div></section>',
            htmlspecialchars($title),
            $stills,
        );
    }

    public static function page(string $rows): string
    {
        return '<!doctype html><meta charset="utf-8"><title>Pictures</title><style>'.self::STYLE.'</style>'.$rows;
    }
}
