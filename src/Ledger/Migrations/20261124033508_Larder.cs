using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class Larder : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Feeders",
                columns: table => new
                {
                    Id = table.Column<string>(type: "TEXT", nullable: false),
                    Feeder = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Feeders", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Larder",
                columns: table => new
                {
                    Sequence = table
                        .Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    AtTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenBy = table.Column<string>(type: "TEXT", nullable: false),
                    Act = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Larder", x => x.Sequence);
                }
            );

            migrationBuilder.CreateIndex(name: "IX_Larder_Id", table: "Larder", column: "Id", unique: true);

            migrationBuilder.Sql(
                "CREATE TRIGGER Larder_is_never_changed BEFORE UPDATE ON Larder BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
            );
            migrationBuilder.Sql(
                "CREATE TRIGGER Larder_is_never_removed BEFORE DELETE ON Larder BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "Feeders");

            migrationBuilder.DropTable(name: "Larder");
        }
    }
}
