#!/usr/bin/perl
# A made-up language for tests: every letter of the English text accented, every text 40 per cent longer and within « ».
# What programs read stays: {0}, %1, <b>, &amp;, file patterns, keys. usage: accents.pl upstairs.pot > made-up.po
# Needs no more of Perl than every Debian system has (perl-base).
use strict;
use warnings;
use utf8;

my %accented;
my @plain = split //, "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz";
my @marked = split //, "ÅḂÇĎÉḞĜĤÎĴĶĻṀÑÖṖǪŔŠŢÛṼŴẊÝŽåḃçďéḟĝĥîĵķļṁñöṗǫŕšţûṽŵẋýž";
@accented{@plain} = @marked;

sub spoken {
    my ($text) = @_;
    return $text if $text eq "";
    my $letters = () = $text =~ /\pL/g;
    my $kept = qr/\{\d\}|%L?\d|%n|<[^>]*>|&\w+;|\(\*[^)]*\)|\\n|\\"|\\\\|Ctrl\+\w+|Shift\+\w+/;
    my $out = "";
    while ($text =~ /\G(?:($kept)|(.))/gs) {
        $out .= defined $1 ? $1 : $accented{$2} // $2;
    }
    my $more = substr("öñé ţŵö ţĥŕéé " x 200, 0, int(0.4 * $letters + 0.5));
    $more =~ s/\s+$//;
    # what ends a sentence or a line stays its end
    my $break = $out =~ s/((?:\\n)+)$// ? $1 : "";
    return "«$out" . ($more eq "" ? "" : "\x{b7}$more") . "»$break";
}

# The catalogue's entries, each text joined into one.
local $/ = "";
binmode(STDOUT, ":utf8");
open(my $pot, "<:utf8", $ARGV[0]) or die "$ARGV[0]: $!\n";
while (my $entry = <$pot>) {
    my (@lines, %text, $field);
    for my $line (split /\n/, $entry) {
        if ($line =~ /^(msgid|msgid_plural|msgctxt|msgstr(?:\[\d\])?) "(.*)"$/) { $text{$field = $1} = $2 }
        elsif ($line =~ /^"(.*)"$/) { $text{$field} .= $1 }
        elsif ($line =~ /^#/) { push @lines, $line }
    }
    next unless defined $text{msgid};
    if ($text{msgid} eq "") {
        print qq(msgid ""\nmsgstr ""\n"Project-Id-Version: upstairs\\n"\n"PO-Revision-Date: 2026-11-30 00:00+0000\\n"\n"Last-Translator: nobody\\n"\n"Language-Team: none\\n"\n"Language: en\@accents\\n"\n"MIME-Version: 1.0\\n"\n)
            . qq("Content-Type: text/plain; charset=UTF-8\\n"\n"Content-Transfer-Encoding: 8bit\\n"\n)
            . qq("Plural-Forms: nplurals=2; plural=(n != 1);\\n"\n\n);
        next;
    }
    print join("", map { "$_\n" } grep { /^#:/ } @lines), qq(msgid "$text{msgid}"\n);
    if (defined $text{msgid_plural}) {
        print qq(msgid_plural "$text{msgid_plural}"\n);
        printf qq(msgstr[%d] "%s"\n), $_->[0], spoken($_->[1]) for [0, $text{msgid}], [1, $text{msgid_plural}];
    } else {
        print qq(msgstr "), spoken($text{msgid}), qq("\n);
    }
    print "\n";
}
