using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class NeverReplaced : Migration
    {
        private static readonly string[] Journals = ["Entries", "Larder", "Chores", "Contacts", "ClimateNotes"];

        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            // "INSERT OR REPLACE" removes a row without asking the triggers against removal; sqlite.org/lang_conflict.html.
            foreach (var journal in Journals)
            {
                migrationBuilder.Sql(
                    $"CREATE TRIGGER {journal}_is_never_replaced BEFORE INSERT ON {journal} WHEN EXISTS (SELECT 1 FROM {journal} WHERE Id = NEW.Id OR Sequence = NEW.Sequence) BEGIN SELECT RAISE(ABORT, 'This id was given before.'); END;"
                );
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            foreach (var journal in Journals)
            {
                migrationBuilder.Sql($"DROP TRIGGER {journal}_is_never_replaced;");
            }
        }
    }
}
