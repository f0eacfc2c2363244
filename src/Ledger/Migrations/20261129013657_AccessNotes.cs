using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class AccessNotes : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "CalendarHash", table: "People", type: "TEXT", nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "IsReader",
                table: "People",
                type: "INTEGER",
                nullable: false,
                defaultValue: false
            );

            migrationBuilder.CreateTable(
                name: "AccessNotes",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false).Annotation("Sqlite:Autoincrement", true),
                    AtTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    What = table.Column<string>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Whom = table.Column<string>(type: "TEXT", nullable: true),
                    From = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_AccessNotes", x => x.Id);
                }
            );

            migrationBuilder.CreateIndex(name: "IX_AccessNotes_AtTicks", table: "AccessNotes", column: "AtTicks");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "AccessNotes");

            migrationBuilder.DropColumn(name: "CalendarHash", table: "People");

            migrationBuilder.DropColumn(name: "IsReader", table: "People");
        }
    }
}
